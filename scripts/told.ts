import { Refusal } from '../src/core/refusal';
import { storeFaultOf } from '../src/data/store-fault';

/** Runs a command: what it answers, or refuses, is said in words and makes it fail. */
export async function told(run: () => Promise<string | null>): Promise<void> {
  try {
    const wrong = await run();
    if (wrong === null) return;
    console.error(wrong);
  } catch (error) {
    const { code } = error as NodeJS.ErrnoException;
    const fault = storeFaultOf(error);
    if (error instanceof Refusal || fault || code) console.error(`${(fault ?? (error as Error)).message}.`);
    else console.error(error);
  }
  process.exitCode = 1;
}
