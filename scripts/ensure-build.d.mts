/** Builds when anything that goes into the build is newer than the last one. */
export function ensureBuild(): void;
