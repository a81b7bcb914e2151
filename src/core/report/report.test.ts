import { describe, expect, it } from 'vitest';
import { photoPrinter } from '../../demo/units/photo-printer';
import { SECTIONS } from '../job';
import { bench, kiosk } from '../job/bench.test.fixture';

import { reportOf } from '.';

/** A whole job on the photo-booth printer, told line by line. */
function told() {
  const b = bench(photoPrinter);
  const fn = photoPrinter.functions[0]?.id ?? '';
  b.tell({ type: 'intake.recorded', function: fn, symptom: 'first words', pattern: 'always', keep: [] });
  b.tell({
    type: 'intake.recorded',
    function: fn,
    symptom: ' goes dark ',
    pattern: 'always',
    since: 'Sunday',
    unitSays: 'pack low',
    keep: ['coin count', ' '],
  });
  b.tell({
    type: 'referral.weighed',
    minutes: 30,
    currency: 'EUR',
    ratePerHour: 6000,
    parts: 2000,
    competence: 'own work',
    warranty: false,
    choice: 'repair',
  });
  b.tell({ type: 'plan.chosen', element: 'A2', remedy: 'reseat', why: 'a guess' });
  b.tell({
    type: 'plan.chosen',
    element: 'B1',
    remedy: 'replace',
    chance: 0.876,
    why: 'the unit says so',
    saidByUnit: true,
  });
  b.tell({ type: 'party.told', party: 'arcade', how: 'no answer' });
  b.tell({ type: 'party.told', party: 'arcade', how: 'at the counter' });
  b.tell({ type: 'power-down.passed', reason: 'it is wholly dead' });
  b.tell({ type: 'gate.cleared', hazard: 'mains', acted: true, reading: 0, unit: 'V', source: 'meter' });
  b.tell({ type: 'gate.cleared', hazard: 'C14', acted: true, reading: 3.25, unit: 'V', source: 'meter' });
  b.tell({ type: 'lead-rule.chosen', rule: 'battery first' });
  b.line('4 x M3x8 PH1 rear cover > cup 3');
  b.line('lift rear cover > shelf');
  b.tell({ type: 'item.altered', item: b.item('rear cover'), what: 'a notch filed, 2 mm' });
  b.line('slide shield plate > shelf');
  b.tell({
    type: 'gate.cleared',
    hazard: 'B1',
    acted: true,
    reading: 0.1,
    unit: 'V',
    source: 'meter',
    leads: ['W6'],
  });
  b.tell({ type: 'consumable.used', what: 'alcohol', amount: '2 ml', on: 'seat' });
  b.tell({ type: 'unit.entered', name: 'feeder', goal: 'look at its lead' });
  b.tell({ type: 'unit.left', as: 'whole' });
  b.tell({ type: 'part.removed', name: 'old pack', serial: 'OLD7', dateCode: '2319' });
  b.tell({ type: 'preparation.ticked', line: 'polarity', note: '+7.4 V' });
  b.tell({ type: 'preparation.ticked', line: 'adhesive' });
  b.tell({ type: 'part.fitted', name: 'new pack', serial: 'NEW8' });
  b.tell({ type: 'item.returned', item: b.item('W6'), count: 1, state: 'plugged' });
  b.tell({ type: 'item.proven', item: b.item('W6'), how: 'held a tug' });
  b.tell({
    type: 'item.written-off',
    item: b.screws('rear cover'),
    count: 1,
    reason: 'stripped',
    replacement: 'one from stock',
  });
  b.tell({ type: 'proof.recorded', check: `symptom:${fn}`, outcome: 'bad', source: 'eye' });
  b.tell({ type: 'proof.recorded', check: `symptom:${fn}`, outcome: 'ok', source: 'eye' });
  b.tell({ type: 'proving.ticked', line: 'charging', outcome: 'bad', reading: 0 });
  b.tell({ type: 'proving.ticked', line: 'charging', outcome: 'ok', reading: 1.2, note: 'steady' });
  b.tell({ type: 'point.passed', point: 'shown: activation', reason: 'it asks for none' });
  b.tell({ type: 'soak.started', minutes: 10, everyMinutes: 5 });
  b.tell({ type: 'note.added', text: ' feet worn ' });
  return b;
}

describe('the report of a job', () => {
  const b = told();
  const report = reportOf(b.state(), b.events());
  const lines = (title: string) =>
    (report.find((s) => s.title === title)?.lines ?? []).map((l) =>
      [l.text, l.result].filter((x) => x !== undefined).join(' | '),
    );

  it('has its sections in the order of the work, and none that is empty', () => {
    const titles = report.map((s) => s.title);
    expect(titles).toEqual(SECTIONS.filter((t) => titles.includes(t)));
    expect(report.every((s) => s.lines.length > 0)).toBe(true);
    expect(titles).not.toContain('Handed over');
  });
  it('Taken in: as it was said last, with what is not to be lost', () => {
    const said = lines('Taken in');
    expect(said.filter((l) => !l.startsWith('Weighed'))).toEqual([
      '“goes dark”, always, since Sunday',
      'The unit itself said: pack low',
      'Not to be lost: coin count',
    ]);
    expect(said.some((l) => l.startsWith('Weighed: repair | '))).toBe(true);
  });
  it('Planned: what holds now, with its chance', () => {
    expect(lines('Planned')).toHaveLength(1);
    expect(lines('Planned')[0]).toMatch(/^Replace B1.* \| the unit says so; 88.% to mend the unit$/);
  });
  it('Made safe: every act with its reading, in its order', () => {
    expect(lines('Made safe').map((l) => l.replaceAll('\u00a0', ' '))).toEqual([
      'Not powered down its own way | it is wholly dead',
      `Mains: ${photoPrinter.hazards.find((h) => h.id === 'mains')?.clear.act} | read 0 V by meter`,
      `C14: ${photoPrinter.hazards.find((h) => h.id === 'C14')?.clear.act} | read 3.25 V by meter`,
      'Which lead first | battery first',
      'B1 pack: Unplug W6 and tape over its contacts | read 0.1 V by meter',
    ]);
  });
  it('Done: what went in, what the old one said of itself, what was used and seen to', () => {
    expect(lines('Done')).toEqual([
      'Used: 2 ml alcohol | seat',
      'In the feeder | look at its lead',
      'new pack | B1, serial NEW8',
      'The old one | serial OLD7, date code 2319',
      'Polarity read with the meter at the plug, not by colour | +7.4 V',
      'Old adhesive off, seat flat and dry | done',
    ]);
  });
  it('Proven: before beside after, with what was open, the last proof only', () => {
    expect(lines('Proven, before and after')).toEqual([
      expect.stringMatching(/ \| before fails; after works, rear cover, shield plate off$/),
    ]);
    expect(lines('Everything it should do')).toEqual([expect.stringMatching(/ \| works$/)]);
  });
  it('Shown beside it: the last word of each', () => {
    expect(lines('Shown beside it').map((l) => l.replaceAll('\u00a0', ' '))).toEqual([
      'arcade staff was told | at the counter',
      'B1 takes charge: current flows in, its voltage rises | good, 1.2 A, steady',
      'Let go: shown: activation | it asks for none',
      'Soak of 10 min | 0 looks, not finished',
    ]);
  });
  it('Came off and went back: every thing with what became of it', () => {
    const off = lines('Came off and went back');
    expect(off).toContain(
      '4 × M3×8 PH1, rear cover | 1 written off, stripped; one from stock; 3 still in cup 3',
    );
    expect(off).toContain('1 × rear cover | 1 still on the shelf; altered: a notch filed, 2 mm');
    expect(off).toContain('1 × W6 | 1 back; proven: held a tug');
    expect(off).toContain('1 × old pack | 1 written off, replaced; new pack');
    expect(off.some((l) => l.includes('× new pack'))).toBe(false);
  });
  it('what was taken back is not in it', () => {
    const c = told();
    const note = c.events().at(-1)?.id ?? '';
    c.tell({ type: 'undone', event: note } as never);
    expect(reportOf(c.state(), c.events()).map((s) => s.title)).not.toContain('Notes');
    expect(lines('Notes')).toEqual(['feet worn']);
  });
  it('says who recorded it once it is handed over, everybody once', () => {
    const c = told();
    c.tell({ type: 'remedy.tried' });
    expect(
      reportOf(c.state(), c.events())
        .find((s) => s.title === 'Found')
        ?.lines.at(-1),
    ).toMatchObject({
      result: 'the symptom stayed',
    });
    expect(reportOf(c.state(), c.events()).find((s) => s.title === 'Done')?.lines).toContainEqual(
      expect.objectContaining({ text: 'new pack', result: 'did not mend it' }),
    );
  });
});

describe('what a report says at the end', () => {
  const unit = kiosk([{ id: 'A1', name: 'main board', kind: 'board' }]);
  const given = (keep: string[], opened: boolean) => {
    const b = bench(unit);
    b.tell({
      type: 'intake.recorded',
      function: unit.functions[0]?.id ?? '',
      symptom: 'dumb',
      pattern: 'always',
      keep,
    });
    if (opened) {
      b.line('lift door > shelf');
      b.line('unplug motor lead');
      b.tell({
        type: 'item.written-off',
        item: b.item('motor lead'),
        count: 1,
        reason: 'torn',
        replacement: 'new motor lead',
      });
      b.tell({ type: 'item.returned', item: b.item('door'), count: 1, state: 'fitted' });
      b.tell({ type: 'cover.closed', cover: b.state().ledger.covers[0]?.id ?? '', kind: 'final' });
    }
    b.tell({
      type: 'job.handed-over',
      to: 'harbour office',
      result: 'returned as it was',
      disposal: 'torn lead to the bin for copper',
      owed: 'the second key',
      decidedBy: 'harbour master',
    });
    return reportOf(b.state(), b.events());
  };
  const lines = (r: ReturnType<typeof given>, title: string) =>
    r.find((s) => s.title === title)?.lines.map((l) => [l.text, l.result]) ?? [];
  it('where old parts went, what is owed, who decided; a seal that was opened is no longer its maker’s', () => {
    const report = given(['warranty seal', 'settings'], true);
    expect(lines(report, 'Handed over')).toEqual(
      expect.arrayContaining([
        ['Warranty seal', 'no longer the maker’s: opened at door'],
        ['What was taken out', 'torn lead to the bin for copper'],
        ['Still owed', 'the second key'],
        ['Decided by', 'harbour master'],
      ]),
    );
    expect(lines(report, 'Done')).toEqual([['new motor lead, in place of motor lead', 'torn']]);
  });
  it('a seal of a unit that stayed shut is not spoken of', () => {
    expect(JSON.stringify(given(['warranty seal'], false))).not.toContain('no longer the maker');
  });
});
