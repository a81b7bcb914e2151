/**
 * A browser asks for six pieces of script at a time, and on a far line one of a few hundred bytes takes as long to
 * come as one of some thousand: what is smaller than this is put with what is fetched together with it.
 */
const SMALLEST = 6_000;

/** Fewer pieces of script for the browser; what runs on the server stays as it is. */
export default function chunks() {
  return {
    name: 'mulch-chunks',
    apply: 'build',
    outputOptions: (output) =>
      /client[\\/]?$/.test(output.dir ?? '') ? { ...output, experimentalMinChunkSize: SMALLEST } : output,
  };
}
