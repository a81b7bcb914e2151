import { type ReactNode, useState } from 'react';
import { Second } from './Action';
import { TextField } from './Field';

interface Asked {
  label: string;
  hint: ReactNode;
  button: string;
  placeholder?: string;
  /** what stands in it at first */
  begin?: string;
  small?: boolean;
  /** one after the other: what was taken is cleared, and the field keeps the focus */
  several?: boolean;
  /** takes what was typed; answers why not, or null when it was taken */
  onSay(text: string): string | null;
}

/** One line asked for and kept with one button: Enter keeps it, what is wrong stands under it, nothing typed is lost. */
export function AskLine({
  label,
  hint,
  button,
  placeholder,
  begin = '',
  small = false,
  several = false,
  onSay,
}: Asked) {
  const [text, setText] = useState(begin);
  const [wrong, setWrong] = useState<string | null>(null);
  return (
    <form
      className="flex flex-wrap gap-3 items-end"
      noValidate
      onSubmit={(e) => {
        e.preventDefault();
        e.stopPropagation();
        const why = onSay(text);
        setWrong(why);
        if (why === null && several) setText('');
      }}
    >
      <TextField
        label={label}
        hint={hint}
        placeholder={placeholder}
        value={text}
        onChange={(e) => {
          setText(e.target.value);
          setWrong(null);
        }}
        wrong={wrong ?? undefined}
        autoComplete="off"
        className="flex-1 min-w-[240px]"
      />
      <span className="pb-[21px]">
        <Second small={small} type="submit">
          {button}
        </Second>
      </span>
    </form>
  );
}
