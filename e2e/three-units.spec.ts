import { expect, test as shared, testAlone } from './bench-test';
import {
  CLOSE_UP,
  cameOff,
  described,
  handedOver,
  home,
  MAKE_SAFE,
  OPEN_UP,
  PLAN,
  PROVE,
  planned,
  SWAP,
} from './carried';
import { byKey, byTap } from './hands';

/**
 * Three units that the demo does not have, each described from nothing, named as people name things, and
 * carried to Hand over: with the keyboard alone, and with taps alone on a narrow view.
 */

const HANDS = [
  { by: 'with the keyboard alone', hand: byKey, test: shared, use: {} },
  {
    by: 'with taps alone',
    hand: byTap,
    test: testAlone,
    use: { viewport: { width: 390, height: 844 }, hasTouch: true },
  },
];

for (const { by, hand: made, test, use } of HANDS)
  test.describe(by, () => {
    test.use(use);
    test.setTimeout(180_000);

    test('a vehicle pack with balance and main lead under a sealed lid', async ({ page, demo }) => {
      const hand = made(page);
      const bench = { page, hand, url: demo.url };
      await described(bench, {
        name: 'Quay scooter',
        does: 'Drives off when the lever is pressed',
        covers: 'sealed lid',
        rows: [
          { kind: 'board', what: 'controller' },
          { kind: 'motor', what: 'hub motor' },
          { kind: 'battery', what: 'drive pack' },
        ],
        pack: { mark: 'B1', leads: 'main lead, balance lead', cells: '10' },
        hazards: ['Lithium pack'],
      });
      await planned(bench, 'Cuts out uphill', /^B1 /, /Replace B1/);

      // The gate lies under the lid: it cannot be ticked before, and does not hold the lid.
      await expect(
        page.getByRole('heading', { name: 'No gate holds the sealed lid; Lithium pack waits under it' }),
      ).toBeVisible();
      const pack = page.getByRole('region', { name: 'Gate: Lithium pack', exact: true });
      await hand.press(/^1\. .* parted/);
      await hand.press(/^2\. .* parted/);
      await hand.type(/^Reading at/, '0');
      await hand.press(/^Gate up/);
      await expect(pack.getByText(/lies under the sealed lid: take that off first/)).toBeVisible();
      await hand.stop(OPEN_UP);
      await cameOff(bench, '8 x M4x12 HEX3 lid edge > cup 1', 'lift sealed lid > shelf');

      // Two ticks in their order, then the pack is out by being lifted.
      await hand.stop(MAKE_SAFE);
      await expect(page.getByRole('heading', { name: '1 gate holds the way in' })).toBeVisible();
      await hand.gate('Lithium pack', '0');
      await hand.stop(OPEN_UP);
      await cameOff(bench, 'lift drive pack > shelf');
      await expect(page.getByText('Nothing live is known')).toBeVisible();
      await hand.stop(SWAP);
      await expect(page.getByText(/drive pack is out, kept on the shelf/)).toBeVisible();
      await hand.type(/^What it read, red to black/, '-37 V');
      await hand.send();
      await expect(page.getByText(/red and black are swapped. Do not plug it in/)).toBeVisible();
      await hand.type(/^What it read, red to black/, '+37 V');
      await hand.send();
      await hand.type(/^What goes in/, 'new drive pack');
      await hand.foot();
      await expect(page.getByRole('region', { name: 'Live' })).toContainText('Lithium pack');

      // Home: main before balance, no gate asked, the screws by their own words.
      await hand.stop(CLOSE_UP);
      const did = await home(bench);
      expect(did.filter((d) => /^Plug in/.test(d))).toEqual(['Plug in main lead', 'Plug in balance lead']);
      expect(did.some((d) => /^(Fit|Screw in) .*drive pack/.test(d) && !/new/.test(d))).toBe(false);
      expect(did.indexOf('Prove new drive pack')).toBeGreaterThan(did.indexOf('Plug in balance lead'));
      await handedOver(bench, 'harbour office');
      await expect(page.getByRole('article')).toContainText('new drive pack');
    });

    test('a headset with a soldered cell', async ({ page, demo }) => {
      const hand = made(page);
      const bench = { page, hand, url: demo.url };
      await described(bench, {
        name: 'Guide headset',
        does: 'Speaks in both ears',
        covers: 'ear shell',
        rows: [
          { kind: 'board', what: 'radio board' },
          { kind: 'lamp', what: 'speaker' },
          { kind: 'battery', what: 'soldered cell' },
        ],
        pack: { mark: 'B1', leads: '', cells: '1' },
        hazards: ['Lithium pack'],
      });
      await planned(bench, 'Dead after an hour', /^B1 /, /Replace B1/);
      await hand.stop(OPEN_UP);

      // A lever waits until the cell is read and low; metal never goes near it.
      await hand.type(/^Came off:/, 'pry ear shell > shelf');
      await hand.send();
      await expect(
        page.getByText(/No lever yet: Lithium pack, how full it is has not been read/),
      ).toBeVisible();
      await hand.stop(MAKE_SAFE);
      const charge = page.getByRole('region', { name: 'Gate: charge of Lithium pack' });
      await hand.type(/^Volts at rest/, '3.9');
      await hand.send();
      await expect(charge.getByText(/Discharge it first/)).toBeVisible();
      await hand.type(/^Volts at rest/, '3.5');
      await hand.send();
      await hand.stop(OPEN_UP);
      await hand.type(/^Came off:/, 'pry ear shell with steel blade > shelf');
      await hand.send();
      await expect(page.getByText(/No metal near Lithium pack/)).toBeVisible();
      await cameOff(bench, 'pry ear shell > shelf');

      // Nobody named a lead: the gate asks which, and what goes back under such a name is live again.
      await hand.stop(MAKE_SAFE);
      await expect(page.getByText(/Which plugs are leads of Lithium pack is not known/)).toBeVisible();
      await hand.type(/^Which lead is parted/, 'red cell wire');
      await hand.gate('Lithium pack', '0');
      await hand.stop(OPEN_UP);
      await cameOff(bench, 'lift soldered cell > shelf');
      await hand.stop(SWAP);
      await hand.type(/^What it read, red to black/, '+3.8 V');
      await hand.send();
      await hand.type(/^What goes in/, 'new cell');
      await hand.foot();
      await hand.stop(CLOSE_UP);
      await expect(page.getByRole('heading', { name: 'Plug in red cell wire' })).toBeVisible();
      await home(bench);
      await expect(page.getByRole('region', { name: 'Live' })).toContainText('Lithium pack');
      await handedOver(bench, 'guide');
    });

    test('a kiosk with two boards on a pin strip', async ({ page, demo }) => {
      const hand = made(page);
      const bench = { page, hand, url: demo.url };
      await described(bench, {
        name: 'Pier kiosk',
        does: 'Prints a ticket for a coin',
        covers: 'front door, inner panel',
        rows: [
          { kind: 'sensor', what: 'coin slot' },
          { kind: 'board', what: 'main board' },
          { kind: 'board', what: 'plug-in board' },
          { kind: 'motor', what: 'ticket motor' },
          { kind: 'supply', what: 'supply' },
        ],
        hazards: ['Mains', 'Capacitors'],
      });
      await planned(bench, 'Takes coins, prints nothing', /^A2 /, /Replace A2/);
      // Both boards in one opening, which is paid once.
      await hand.stop(PLAN);
      await hand.pick(/^Element to mend/, /^A1 /);
      await hand.choose(/Replace A1/);
      await hand.press(/^And Replace A1.* in the same opening/);
      const opening = page.getByRole('region', { name: 'In this opening' });
      await expect(opening.getByRole('listitem')).toHaveCount(2);
      await hand.stop(MAKE_SAFE);

      // Held by both gates before the door, and counted as they are drawn.
      await expect(page.getByRole('heading', { name: '2 gates hold the way in' })).toBeVisible();
      await hand.stop(OPEN_UP);
      await hand.type(/^Came off:/, 'lift front door');
      await hand.send();
      await expect(page.getByText(/Held by Mains/).first()).toBeVisible();
      await hand.stop(MAKE_SAFE);
      await hand.gate('Mains', '0');
      await hand.gate('Capacitors', '2');
      await hand.stop(OPEN_UP);
      await cameOff(
        bench,
        '4 x M4x10 T20 front door low > cup 1',
        'lift front door > shelf',
        '6 x M3x8 PH1 panel > cup 2',
        'lift inner panel > shelf',
        '4 x M2.5x6 PH1 plug-in board > cup 3',
        'unplug motor lead',
        'unplug coin lead',
        'lift plug-in board > shelf',
        'unplug door lead',
        'lift main board > shelf',
      );
      await hand.stop(SWAP);
      await hand.type(/^What goes in/, 'new plug-in board');
      await hand.foot();
      // Then the other one, whose old board is out already.
      await expect(page.getByRole('heading', { name: /Replace A1/ })).toBeVisible();
      await expect(page.getByText('main board is out', { exact: false })).toBeVisible();
      await hand.type(/^What goes in/, 'new main board');
      await hand.foot();
      await expect(page.getByText('Done: new main board')).toBeVisible();
      // A board on a pin strip is looked at before the power comes on.
      await hand.stop(PROVE);
      await hand.press(/^works/);
      await expect(page.getByText(/Before power: new plug-in board on its pin strip/)).toBeVisible();
      await hand.stop(CLOSE_UP);

      // A later step can be taken before the first one.
      await hand.press(/^Now: Plug in motor lead/);
      await hand.press(/^It is plugged/);
      await hand.press(/^held a tug/);
      await hand.press(/^Now: Prove new plug-in board/);
      await hand.press(/^pins counted at both ends, none bare/);
      // A test with a plug still out proves nothing.
      await hand.stop(PROVE);
      await hand.press(/^works/);
      await expect(page.getByText(/coin lead is still out: what is seen now proves nothing/)).toBeVisible();
      await hand.stop(CLOSE_UP);
      const did = await home(bench);
      expect(did.at(-1)).toMatch(/front door/);
      await handedOver(bench, 'pier office');
      const report = page.getByRole('article');
      await expect(report).toContainText('4 × M4×10 T20, front door low');
      await expect(report).toContainText('new plug-in board');
      await expect(report).toContainText('new main board');
    });
  });
