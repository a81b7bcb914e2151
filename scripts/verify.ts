// npm run verify -- FILE: every file of a backup held against its sum.
import { verifyBackup } from '../src/backup';
import { told } from './told';

const [file] = process.argv.slice(2);
await told(async () => {
  if (!file) return 'Say which: npm run verify -- FILE.';
  const { manifest, faults } = await verifyBackup(file);
  if (manifest)
    console.log(
      `${file}, made ${manifest.madeAt}: ${manifest.jobs} jobs with ${manifest.entries} entries, ${manifest.files.length} files.`,
    );
  if (faults.length === 0) console.log('Everything in it is as it was written.');
  return faults.length ? `Do not rely on it: ${faults.join('; ')}.` : null;
});
