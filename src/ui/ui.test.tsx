import { renderToStaticMarkup } from 'react-dom/server';
import { describe, expect, it } from 'vitest';
import { Action } from './Action';
import { ElementDrawing } from './ElementDrawing';
import { Choices, SelectField, TextField } from './Field';
import { Place } from './Place';
import { RangeStrip } from './RangeStrip';
import { Screw } from './Screw';
import { SplitTape } from './SplitTape';
import { MiniRun, StopShape } from './StopShape';

const html = renderToStaticMarkup;
const count = (text: string, piece: string) => text.split(piece).length - 1;

describe('shared parts', () => {
  it('a field ties its message to what was typed', () => {
    const wrong = html(<TextField label="Reading" wrong="not a reading" defaultValue="x" />);
    const id = /for="([^"]+)"/.exec(wrong)?.[1];
    expect(wrong).toContain(`id="${id}"`);
    expect(wrong).toContain(`aria-describedby="${id}-s"`);
    expect(wrong).toContain('aria-invalid="true"');
    expect(wrong).toContain('role="alert"');
    expect(html(<TextField label="Reading" hint="by meter" />)).not.toContain('aria-invalid');
    expect(
      html(
        <SelectField label="Unit">
          <option>a</option>
        </SelectField>,
      ),
    ).toContain('<option>a</option>');
  });

  it('choices are radios, or boxes where several may be taken', () => {
    const options = [
      { value: 'a', words: 'A' },
      { value: 'b', words: 'B' },
    ];
    const one = html(<Choices label="Which" name="w" options={options} value="b" onPick={() => {}} />);
    expect(count(one, 'type="radio"')).toBe(2);
    expect(count(one, 'checked=""')).toBe(1);
    const many = html(
      <Choices many label="Which" name="w" options={options} value={['a', 'b']} onPick={() => {}} />,
    );
    expect(count(many, 'type="checkbox"')).toBe(2);
    expect(count(many, 'checked=""')).toBe(2);
  });

  it('an action that is held says why and stays reachable', () => {
    const held = html(<Action held="held by Mains">Open up</Action>);
    expect(held).toContain('aria-disabled="true"');
    expect(held).toContain('title="held by Mains"');
    expect(held).not.toContain(' disabled');
  });

  it('a screw shows one head per piece, and those that are back as rings', () => {
    const ten = html(<Screw thread="M3" lengthMm={8} drive="PH1" count={10} back={6} />);
    expect(count(ten, '<circle')).toBe(10);
    expect(count(ten, 'stroke-dasharray="2 2"')).toBe(6);
    expect(html(<Screw thread="M3" lengthMm={8} drive="PH1" count={14} />)).toContain('+4');
  });

  it('a screw is drawn to scale: twice the length is twice as long', () => {
    const shank = (mm: number) =>
      Number(
        /width="([\d.]+)"/.exec(html(<Screw thread="M3" lengthMm={mm} count={0} diameterMm={3} />))?.[1],
      );
    expect(shank(16) - shank(8)).toBeCloseTo(8 * 3.1, 6);
  });

  it('a range strip says its figures in words, and widens for a reading outside', () => {
    const strip = html(<RangeStrip low={0} high={1} nominal={0.775} tolerance={0.1} unit="V" value={1.4} />);
    expect(strip).toContain('aria-label="Wanted 0.775 ± 0.1 V, reading 1.4 V"');
    // The reading stands at the far end of a strip that has grown to it.
    expect(strip).toContain('translate(364 0)');
    expect(strip).not.toMatch(/NaN|Infinity/);
    expect(html(<RangeStrip low={-20} high={0} nominal={-12} tolerance={0.5} unit="V" />)).not.toMatch(
      /NaN|Infinity/,
    );
  });

  it('a split tape tells how much of the suspicion is tested', () => {
    const tape = html(
      <SplitTape
        shares={[
          { id: 'W4', p: 0.6, tested: true },
          { id: 'A2', p: 0.3, tested: false },
          { id: 'J1', p: 0.1, tested: false },
        ]}
      />,
    );
    expect(tape).toContain('aria-label="Tests 60 % of the suspicion"');
    expect(tape.indexOf('W4')).toBeLessThan(tape.indexOf('A2'));
    expect(html(<SplitTape shares={[]} />)).not.toMatch(/NaN/);
  });

  it('a place is a button that speaks when it opens, and a picture when it does not', () => {
    const props = {
      kind: 'cup' as const,
      label: '3',
      look: 'off' as const,
      figure: '4',
      word: 'off',
      picture: null,
      spec: 'M3×8 PH1',
      from: 'lid',
      spoken: 'cup 3: 4 off, M3×8 PH1',
    };
    expect(html(<Place {...props} onOpen={() => {}} />)).toMatch(
      /^<button[^>]*aria-label="cup 3: 4 off, M3×8 PH1"/,
    );
    expect(html(<Place {...props} />)).toMatch(/^<span[^>]*role="img"/);
    // A place with words of its own goes by them.
    expect(html(<Place {...props} kind="shelf" label="floor" />)).toMatch(/class="kept">floor </);
    expect(html(<Place {...props} kind="shelf" label="2" />)).toMatch(/class="kept">shelf <b>2/);
    const twin = html(<Place {...props} twin="not M3×12, cup 2" />);
    expect(twin).toContain('not M3×12, cup 2');
    // What is like another says all the more where it is from.
    expect(twin).toContain('>lid<');
  });

  it('every state of a stop has a silhouette of its own', () => {
    const shapes = ['not begun', 'in hand', 'held', 'done'].map((status) =>
      html(<StopShape status={status} />),
    );
    expect(new Set(shapes).size).toBe(4);
    const run = html(
      <MiniRun run={['done', 'done', 'in hand', 'held'].map((status, i) => ({ stop: `s${i}`, status }))} />,
    );
    expect(count(run, '<g ')).toBe(4);
  });

  it('every kind of element is drawn in its own way', () => {
    const kinds = ['board', 'cable', 'connector', 'supply', 'battery', 'motor', 'lamp', 'sensor', 'setting'];
    const drawn = kinds.map((kind) =>
      html(
        <svg role="img" aria-label={kind}>
          <ElementDrawing kind={kind} w={100} h={120} />
        </svg>,
      ),
    );
    expect(new Set(drawn.map((d) => d.replace(/aria-label="[^"]*"/, ''))).size).toBe(kinds.length);
    for (const d of drawn) expect(d).not.toMatch(/NaN|undefined/);
  });
});
