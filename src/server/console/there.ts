import { database } from '../context';
import { Problem } from '../problem';
import { consoleAddress } from './console';

/** Address of the console. @throws Problem 404 when none is set */
export async function consoleThere(): Promise<string> {
  const address = await consoleAddress((await database()).read);
  if (!address)
    throw new Problem(404, 'No console', 'no console is set. Type its address first, such as 127.0.0.1:7023');
  return address;
}
