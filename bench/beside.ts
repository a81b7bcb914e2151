import { startMulch } from '../e2e/mulch';
import { spread } from './figures';
import { manyMoves } from './order';

/** How long other requests take while computations go on. */
export async function measureBeside(say: (line: string) => void): Promise<void> {
  const mulch = await startMulch({ demo: true });
  try {
    const list = () => fetch(`${mulch.url}/api/jobs`).then((r) => r.text());
    const timed = async () => {
      const t = performance.now();
      await list();
      return performance.now() - t;
    };
    const quiet: number[] = [];
    for (let i = 0; i < 100; i++) quiet.push(await timed());
    const body = JSON.stringify({ ...manyMoves(300, 7), timeLimitMs: 5000 });
    let going = true;
    const heavy = fetch(`${mulch.url}/api/compute/order`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body,
    }).then(() => {
      going = false;
    });
    const busy: number[] = [];
    while (going) busy.push(await timed());
    await heavy;
    say(
      `the list of jobs: p50 ${spread(quiet).p50.toFixed(1)} ms alone, p50 ${spread(busy).p50.toFixed(1)} ms and p95 ${spread(busy).p95.toFixed(1)} ms beside a computation (${busy.length} requests)`,
    );
  } finally {
    await mulch.stop();
  }
}
