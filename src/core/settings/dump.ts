/** Settings as read from a dump, in their order. */
export type Dump = Map<string, string>;

const COMMENT = /^\s*(;|#|\/\/)/;
const COMMAND = /^([A-Z]\d+(?:\.\d+)?)((?:\s+[A-Z]-?\d*\.?\d*)+)$/;
const EQUALS = /^([^=:]+?)\s*[=:]\s*(.*)$/;
const BLANK = /^(\S+)\s+(.*)$/;

/**
 * Reads a dump of settings: `key=value`, `key: value`, `key value`, or line commands such as
 * `M92 X80 Y80`, whose letters become keys of their own. Comments and prompts are passed over.
 *
 * @param text as the unit prints it
 * @returns keys and values; a key that comes twice has its last value
 * @example readDump('M92 X80.00 Y400').get('M92 Y') // '400'
 */
export function readDump(text: string): Dump {
  const dump: Dump = new Map();
  for (const raw of text.split(/\r?\n/)) {
    const line = raw
      .replace(/^\s*(echo:|>)\s*/i, '')
      .replace(/\s*;.*$/, '')
      .trim();
    if (!line || COMMENT.test(raw)) continue;
    const command = COMMAND.exec(line);
    if (command) {
      for (const part of (command[2] ?? '').trim().split(/\s+/))
        dump.set(`${command[1]} ${part[0]}`, part.slice(1));
      continue;
    }
    const m = EQUALS.exec(line) ?? BLANK.exec(line);
    if (m?.[1]) dump.set(m[1].trim(), (m[2] ?? '').trim());
    else dump.set(line, '');
  }
  return dump;
}
