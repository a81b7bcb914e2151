// npm run backup -- TO: everything of a workshop in one file, while Mulch runs.
import { makeBackup } from '../src/backup';
import { told } from './told';

const [to] = process.argv.slice(2);
await told(async () => {
  if (!to) return 'Say where to: npm run backup -- FOLDER, or a file that is not there yet.';
  const { file, bytes, manifest } = await makeBackup(process.env.MULCH_DATA ?? './data', to, new Date());
  const { jobs, entries, files, missing } = manifest;
  const pictures = files.filter((f) => f.path.startsWith('photos/') && !f.path.endsWith('.small')).length;
  console.log(
    `${file}: ${jobs} jobs with ${entries} entries, ${pictures} pictures, ${(bytes / 1e6).toFixed(1)} MB.`,
  );
  for (const id of missing) console.log(`The picture ${id} was not there and is not in it.`);
  return null;
});
