// npm run restore -- FILE [--over]: a backup becomes the workshop; what stood there is put aside.
import { readFileSync } from 'node:fs';
import { restoreBackup } from '../src/backup';
import { told } from './told';

const args = process.argv.slice(2);
const [file] = args.filter((a) => !a.startsWith('--'));
await told(async () => {
  if (!file) return 'Say which: npm run restore -- FILE, and --over where a workshop stands already.';
  const journal = JSON.parse(readFileSync(new URL('../drizzle/meta/_journal.json', import.meta.url), 'utf8'));
  const tables = Math.max(...journal.entries.map((e: { when: number }) => e.when));
  const data = process.env.MULCH_DATA ?? './data';
  const { manifest, aside } = await restoreBackup(file, data, {
    over: args.includes('--over'),
    tables,
    now: new Date(),
  });
  console.log(`${data}: ${manifest.jobs} jobs with ${manifest.entries} entries, as of ${manifest.madeAt}.`);
  if (aside) console.log(`What stood there lies in ${aside} now.`);
  return null;
});
