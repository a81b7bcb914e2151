/** Starts the stand-in catalogue by itself and prints its address; it ends when its input does. */
import { standInCatalogue } from './catalogue';

const there = await standInCatalogue();
console.log(there.address);
process.stdin.resume();
process.stdin.on('end', () => process.exit(0));
