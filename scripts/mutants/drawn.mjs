// Draws the faults that are tried where there are too many for an evening: whole declarations, each by its name, so
// that the same share of the same code is drawn again.
import { createHash } from 'node:crypto';
import { declareValuePlugin, PluginKind } from '@stryker-mutator/api/plugin';

const share = Number(process.env.MUTANTS_SHARE ?? 1);

/** The name of what a statement of a file declares. */
function nameOf({ node }) {
  const declared = node.declaration ?? node;
  return declared.id?.name ?? declared.declarations?.[0]?.id?.name ?? `${declared.type} ${node.start}`;
}

/** From 0 up to 1, always the same for a name. */
const lot = (name) => createHash('sha256').update(name).digest().readUInt32BE() / 2 ** 32;

export const strykerPlugins = [
  declareValuePlugin(PluginKind.Ignore, 'drawn', {
    shouldIgnore: (path) =>
      path.parentPath?.isProgram() && lot(nameOf(path)) >= share ? 'not drawn' : undefined,
  }),
];
