/** Starts the stand-in meter by itself and prints its address; it ends when its input does. */
import { DEMO_UNITS } from '../../demo/jobs';
import { standInMeter } from './meter';

const meter = await standInMeter({
  units: DEMO_UNITS.map((u) => u.map),
  hidden: [
    { model: 'Quayle & Finch HL-40', element: 'W7', q: 0.6 },
    { model: 'Hapstock PB-3', element: 'B1', q: 1 },
    { model: 'Hapstock SI-900', element: 'K2', q: 1 },
    { model: 'Murrowby TK-2', element: 'W1', q: 0.7 },
  ],
});
console.log(meter.address);
process.stdin.resume();
process.stdin.on('end', () => process.exit(0));
