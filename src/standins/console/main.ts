/** Starts the stand-in console by itself and prints its address; it ends when its input does. */
import { standInConsole } from './console';

const there = await standInConsole();
console.log(there.address);
process.stdin.resume();
process.stdin.on('end', () => process.exit(0));
