/** Figures, printed. They are read as ratios to the yard of the same run: machines differ, and so do their days. */
import { ensureBuild } from '../scripts/ensure-build.mjs';
import { compareAdvice } from './advice';
import { measureBeside } from './beside';
import { CORE } from './core';
import { compareDays } from './day';
import { measureEntries } from './entries';
import { spread, timed, yard } from './figures';
import { measureLive } from './live';
import { compareOrders } from './order';
import { measurePages } from './pages';
import { measureSearch } from './search';
import { compareSolver } from './solver';
import { compareWays } from './ways';

const say = (line: string) => console.log(line);
const unit = spread(await timed(15, yard)).p50;
say(`yard: a million multiply-adds in ${unit.toFixed(2)} ms`);
for (const { name, runs, work } of CORE) {
  const { p50, p95 } = spread(await timed(runs, work));
  say(
    `${name.padEnd(52)} p50 ${p50.toFixed(0).padStart(5)} ms, worst ${p95.toFixed(0).padStart(5)} ms, ${(p50 / unit).toFixed(0).padStart(4)} yards`,
  );
}
const megabytes = process.memoryUsage().rss / 1024 / 1024;
say(`memory after the core figures: ${megabytes.toFixed(0)} MB resident`);
compareWays(say);
compareAdvice(say);
compareOrders(say);
await compareSolver(say);
await compareDays(say);
ensureBuild();
await measureBeside(say);
await measureEntries(say);
await measureLive(say);
await measurePages(say);
await measureSearch(say);
