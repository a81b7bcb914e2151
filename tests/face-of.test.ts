import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { designated, type FaceNow, facesNow, faceToShow } from '../src/core/job';
import { bench } from '../src/core/job/bench.test.fixture';
import { DEMO_UNITS } from '../src/demo/jobs';
import { photoPrinter } from '../src/demo/units/photo-printer';

const printer = { ...photoPrinter, powerDown: [] };
const bare = { ...printer, hazards: [] };
const of = (faces: FaceNow[], id: string) => faces.find((f) => f.face.id === id) as FaceNow;
const holes = (f: FaceNow, cover: string) =>
  f.shapes.filter((s) => s.shape.kind === 'hole' && s.shape.of === cover);

describe('faces as they stand', () => {
  it('before anything came off, every screw is in and every panel on; what lies under covers is not seen', () => {
    for (const { map } of DEMO_UNITS) {
      const faces = facesNow(bench(map).state());
      expect(faces.flatMap((f) => f.shapes.filter((s) => s.off))).toEqual([]);
      expect(faces.filter((f) => f.seen).every((f) => f.face.under === undefined)).toBe(true);
      expect(faces.flatMap((f) => f.pins.map((p) => p.tone)).filter((t) => t === 'off')).toEqual([]);
    }
  });
  it('screws off are rings; back, they fill in the order they are tightened; the panel goes and comes with its cover', () => {
    const b = bench(bare);
    b.line('4 x M3x8 PH1 rear cover > cup 3');
    let rear = of(facesNow(b.state()), 'rear');
    expect(holes(rear, 'rear cover').map((h) => h.off)).toEqual([true, true, true, true]);
    expect(rear.shapes.find((s) => s.shape.kind === 'panel')?.off).toBe(false);
    b.line('lift rear cover > shelf');
    rear = of(facesNow(b.state()), 'rear');
    expect(rear.shapes.find((s) => s.shape.kind === 'panel')?.off).toBe(true);
    expect(of(facesNow(b.state()), 'inside the rear').seen).toBe(true);
    b.tell({ type: 'item.returned', item: b.item('rear cover'), count: 1, state: 'fitted' });
    b.tell({ type: 'item.returned', item: b.screws('rear cover'), count: 2, state: 'tight' });
    // Crosswise: the first and the one across from it.
    expect(holes(of(facesNow(b.state()), 'rear'), 'rear cover').map((h) => h.off)).toEqual([
      false,
      true,
      false,
      true,
    ]);
    b.tell({ type: 'item.returned', item: b.screws('rear cover'), count: 2, state: 'tight' });
    b.tell({ type: 'cover.closed', cover: 'rear cover', kind: 'final' });
    expect(facesNow(b.state()).flatMap((f) => f.shapes.filter((s) => s.off))).toEqual([]);
  });
  it('however many are back, just so many holes are filled', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 6 }), (back) => {
        const b = bench(bare);
        b.line('6 x M3x12 PH1 top cover > cup 2');
        b.line('lift top cover > shelf');
        b.tell({ type: 'item.returned', item: b.item('top cover'), count: 1, state: 'fitted' });
        if (back) b.tell({ type: 'item.returned', item: b.screws('top cover'), count: back, state: 'loose' });
        const face = of(facesNow(b.state()), 'face');
        expect(holes(face, 'top cover').filter((h) => !h.off)).toHaveLength(back);
      }),
    );
  });
  it('a hazard is live until it was cleared, a plug and its header off when unplugged, the planned one wanted', () => {
    const b = bench(printer);
    const tone = (face: string, on: string) =>
      of(facesNow(b.state()), face).pins.find((p) => p.pin.on === on)?.tone;
    expect(tone('rear', 'mains')).toBe('live');
    for (const hazard of ['mains', 'C14'])
      b.tell({ type: 'gate.cleared', hazard, acted: true, reading: 0, unit: 'V', source: 'meter' });
    expect(tone('rear', 'mains')).toBe('cleared');
    b.planned('A2');
    b.line('lift rear cover > shelf');
    b.line('lift shield plate > shelf');
    expect(tone('A2 board', 'A2')).toBe('wanted');
    b.tell({ type: 'gate.cleared', hazard: 'B1', acted: true, reading: 0, unit: 'V', source: 'meter' });
    expect(tone('A2 board', 'J6')).toBe('off');
    expect(tone('A2 board', 'J4')).toBe('plain');
    b.tell({ type: 'power.set', power: 'on' });
    expect(tone('rear', 'mains')).toBe('live');
  });
  it('the face shown is the one with the next cover’s screws, then the one with what is wanted', () => {
    const b = bench(bare);
    b.planned('B1');
    expect(faceToShow(facesNow(b.state()), 'rear cover')).toBe('rear');
    b.line('lift rear cover > shelf');
    expect(faceToShow(facesNow(b.state()), 'shield plate')).toBe('inside the rear');
    b.line('lift shield plate > shelf');
    expect(faceToShow(facesNow(b.state()))).toBe('A2 board');
    expect(faceToShow([])).toBeUndefined();
  });
});

describe('what a pin is on', () => {
  it.each([
    ['A2', 'element', 'A2 control board'],
    ['mains', 'hazard', 'Mains, 230 V'],
    ['W6', 'plug', 'W6, goes to J6'],
    ['j4', 'header', 'J4, between the two relays'],
    ['TP1', 'tap', 'TP1 +24 V rail'],
    ['rear cover', 'cover', 'rear cover'],
    ['scratch', 'words', 'scratch'],
  ])('%s', (on, kind, words) => {
    expect(designated(photoPrinter, on)).toEqual({ kind, words });
  });
});

describe('pins set at the bench', () => {
  const b = bench(bare);
  it('on a face or on a picture, never on both or on neither, and only where they lie on it', () => {
    const place = (pin: object) => () =>
      b.tell({ type: 'pin.placed', x: 1, y: 1, on: 'A2', ...pin } as never);
    expect(place({})).toThrow('one face or on one picture');
    expect(place({ face: 'rear', photo: 'x' })).toThrow('one face or on one picture');
    expect(place({ face: 'left' })).toThrow('no face of this unit');
    expect(place({ face: 'rear', x: 301 })).toThrow('lies off the face');
    expect(place({ photo: '01M2JS9ZC08V33PPE0SBJH9999' })).toThrow('no such picture');
    expect(place({ face: 'rear', on: ' ' })).toThrow('what the pin is on');
    place({ face: 'rear' })();
    expect(of(facesNow(b.state()), 'rear').pins).toHaveLength(2);
    b.tell({ type: 'pin.removed', face: 'rear', pin: 1 });
    expect(() => b.tell({ type: 'pin.removed', face: 'rear', pin: 1 })).toThrow('no such pin');
  });
  it('a face made at the bench has to hold together, and is kept with the unit it belongs to', () => {
    const face = { id: 'under', name: 'under', width: 100, height: 80 };
    b.tell({ type: 'face.added', face });
    expect(() => b.tell({ type: 'face.added', face })).toThrow('there twice');
    expect(() => b.tell({ type: 'face.added', face: { ...face, id: 'x', width: -1 } })).toThrow('over 0 mm');
    expect(b.state().whole.faces?.at(-1)).toEqual(face);
  });
  it('a picture after another stands beside it, and nothing can stand beside one that is not there', () => {
    const photo = {
      type: 'photo.added' as const,
      file: 'a'.repeat(64),
      caption: 'before',
      width: 4,
      height: 3,
    };
    b.tell(photo);
    const first = b.state().photos[0]?.id as string;
    b.tell({ ...photo, caption: 'after', after: first });
    expect(b.state().photos[1]?.after).toBe(first);
    expect(() => b.tell({ ...photo, after: '01M2JS9ZC08V33PPE0SBJH9999' })).toThrow('not in this job');
    b.tell({ type: 'pin.placed', photo: first, x: 0.5, y: 1, on: 'W6' });
    expect(() => b.tell({ type: 'pin.placed', photo: first, x: 1.1, y: 1, on: 'W6' })).toThrow(
      'off the picture',
    );
    b.tell({ type: 'pin.removed', photo: first, pin: 0 });
    expect(b.state().photos[0]?.pins).toBeUndefined();
  });
});

describe('consumables', () => {
  it('are used up, start a timer where they set, and are never owed', () => {
    const b = bench(bare);
    b.tell({ type: 'consumable.used', what: 'sealant', amount: '5 ml', setsMinutes: 30, on: 'lid gasket' });
    b.tell({ type: 'consumable.used', what: 'tie', amount: '2' });
    expect(b.state().timers.map((t) => t.what)).toEqual(['sealant on lid gasket sets']);
    expect(b.state().ledger.items).toEqual([]);
    expect(() => b.tell({ type: 'consumable.used', what: ' ' })).toThrow('what was used');
    expect(() => b.tell({ type: 'consumable.used', what: 'glue', setsMinutes: 1e9 })).toThrow('14 days');
  });
});
