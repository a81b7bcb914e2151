import fc from 'fast-check';
import { renderToStaticMarkup as html } from 'react-dom/server';
import { describe, expect, it } from 'vitest';
import { packOf } from '../src/core/fit';
import { flatCable } from '../src/core/flat-cable';
import { DEMO_UNITS } from '../src/demo/jobs';
import { PackDrawing } from '../src/features/batteries/PackDrawing';
import { FlatDrawing } from '../src/features/cables/FlatDrawing';
import { FaceDrawing } from '../src/ui/FaceDrawing';
import { PinMark } from '../src/ui/PinMark';

const count = (text: string, piece: string) => text.split(piece).length - 1;

describe('a face drawn', () => {
  it('keeps its proportion and stays within its room', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 10, max: 900 }),
        fc.integer({ min: 10, max: 900 }),
        fc.integer({ min: 120, max: 800 }),
        (width, height, room) => {
          const svg = html(
            <FaceDrawing
              width={width}
              height={height}
              shapes={[]}
              pins={[]}
              label="face"
              most={{ w: room, h: room }}
            />,
          );
          const [, w = '0', h = '0'] = /viewBox="-2 -2 ([\d.]+) ([\d.]+)"/.exec(svg) ?? [];
          expect(Number(w)).toBeLessThanOrEqual(room + 0.1);
          expect(Number(h)).toBeLessThanOrEqual(room + 0.1);
          // The drawing is rounded to a tenth of a pixel a side.
          const slip = Math.abs((Number(w) - 4) * height - (Number(h) - 4) * width);
          expect(slip).toBeLessThanOrEqual(0.1 * (width + height));
        },
      ),
    );
  });
  it('what is off is an outline, a screw out is a ring, and every pin has its number and its shape', () => {
    const svg = html(
      <FaceDrawing
        width={100}
        height={80}
        shapes={[
          { kind: 'panel', x: 5, y: 5, w: 90, h: 70, of: 'lid', off: true },
          { kind: 'hole', x: 8, y: 8, off: true },
          { kind: 'hole', x: 92, y: 8, off: false },
        ]}
        pins={[
          { number: 1, x: 20, y: 20, tone: 'live' },
          { number: 2, x: 40, y: 20, tone: 'cleared' },
          { number: 3, x: 60, y: 20, tone: 'off' },
        ]}
        label="rear: 1 Mains"
      />,
    );
    expect(svg).toContain('stroke-dasharray="6 4"');
    expect(svg).toContain('lid, off');
    expect(count(svg, 'stroke-dasharray="2.4 2"')).toBe(1);
    // Live is a triangle, cleared a square, the rest round.
    expect(svg).toContain('M0-15 15 11H-15Z');
    expect(svg).toContain('<rect x="-11" y="-11" width="22" height="22"');
    for (const n of [1, 2, 3]) expect(svg).toContain(`>${n}</text>`);
    expect(svg).toContain('aria-label="rear: 1 Mains"');
    expect(html(<PinMark number={7} tone="wanted" />)).toContain('>7</text>');
  });
  it('words that find no room are left out rather than cut', () => {
    const svg = html(
      <FaceDrawing
        width={100}
        height={100}
        shapes={[{ kind: 'label', x: 0, y: 0, w: 4, h: 4, text: 'type plate', off: false }]}
        pins={[]}
        label="f"
      />,
    );
    expect(svg).not.toContain('type plate');
  });
  it('every face of the demo is drawn without a figure missing', () => {
    for (const { map } of DEMO_UNITS)
      for (const f of map.faces ?? []) {
        const svg = html(
          <FaceDrawing
            width={f.width}
            height={f.height}
            shapes={(f.shapes ?? []).map((s) => ({ ...s, off: false }))}
            pins={(f.pins ?? []).map((p, i) => ({ number: i + 1, x: p.x, y: p.y, tone: 'plain' }))}
            label={f.name}
          />,
        );
        expect(svg).not.toMatch(/NaN|undefined|Infinity/);
      }
  });
});

describe('a flat cable drawn', () => {
  it('shows contacts that meet exactly where the rule says that it fits', () => {
    for (const cable of ['same', 'opposite'] as const)
      for (const a of ['up', 'down'] as const)
        for (const b of ['up', 'down'] as const)
          for (const folds of [0, 1, 2, 3]) {
            const { fits } = flatCable({ cable, a, b, folds });
            const svg = html(<FlatDrawing cable={cable} a={a} b={b} folds={folds} />);
            expect(`${cable} ${a} ${b} ${folds} ${svg.includes('they meet')}`).toBe(
              `${cable} ${a} ${b} ${folds} ${fits}`,
            );
          }
  });
});

describe('a pack drawn', () => {
  it('has a cell for each in series and side by side, and says what they amount to', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 12 }), fc.integer({ min: 1, max: 12 }), (series, parallel) => {
        const sheet = { series, parallel, eachVolts: 12, eachAmpHours: 9 };
        const svg = html(<PackDrawing sheet={sheet} fitted={false} />);
        expect(count(svg, '<rect')).toBe(series * parallel);
        expect(svg).toContain(`${packOf({ ...sheet, series, parallel }).volts}\u00a0V`);
      }),
    );
  });
  it('more cells than can be told apart are said in words, and no layout draws nothing', () => {
    const many = html(<PackDrawing sheet={{ series: 100, parallel: 2 }} fitted />);
    expect(many).not.toContain('<svg');
    expect(many).toContain('as fitted: 100 in series, 2 side by side');
    expect(html(<PackDrawing sheet={{}} fitted />)).toBe('');
  });
  it('the cell that is low stands out', () => {
    const even = html(<PackDrawing sheet={{ cellVolts: [4.1, 4.08, 4.1] }} fitted />);
    const low = html(<PackDrawing sheet={{ cellVolts: [4.1, 3.8, 4.1] }} fitted />);
    expect(count(even, 'ochre-wash')).toBe(0);
    expect(count(low, 'ochre-wash')).toBe(1);
  });
});
