import { useEffect, useRef, useState } from 'react';
import SignaturePad from 'signature_pad';
import { Action, Second } from '../../ui/Action';
import { Dialog } from '../../ui/Dialog';
import { TextField, Wrong } from '../../ui/Field';
import { useJob } from '../job/use-job';

/** Points of one line at most; a longer one is thinned out. */
const MOST_POINTS = 300;
const digits = (v: number) => Math.round(Math.min(1, Math.max(0, v)) * 10_000) / 10_000;

/** Whoever takes the unit signs with a finger, a pen or a mouse. */
export default function SignDialog({ name: first, onClose }: { name: string; onClose(): void }) {
  const { record } = useJob();
  // The sheet is laid over the page a moment later than this is drawn: its field says when it is there.
  const [field, setField] = useState<HTMLCanvasElement | null>(null);
  const pad = useRef<SignaturePad | null>(null);
  const [name, setName] = useState(first);
  const [wrong, setWrong] = useState<{ path: string; reason: string } | null>(null);
  useEffect(() => {
    if (!field) return;
    // As many dots as the screen has: a thin line stays one.
    const ratio = Math.max(1, window.devicePixelRatio);
    field.width = field.offsetWidth * ratio;
    field.height = field.offsetHeight * ratio;
    field.getContext('2d')?.scale(ratio, ratio);
    pad.current = new SignaturePad(field, { penColor: getComputedStyle(field).color });
    return () => pad.current?.off();
  }, [field]);
  const keep = (lines: number[][]) => {
    if (!field) return;
    const refused = record('receipt.signed', { name, wide: field.offsetWidth / field.offsetHeight, lines });
    setWrong(refused);
    if (!refused) onClose();
  };
  const sign = (e: React.FormEvent) => {
    e.preventDefault();
    if (!pad.current || !field) return;
    if (pad.current.isEmpty())
      return setWrong({
        path: '/lines',
        reason: 'sign in the field first, with a finger or the mouse; or sign by name alone',
      });
    keep(
      pad.current.toData().map(({ points }) => {
        const every = Math.ceil(points.length / MOST_POINTS);
        return points
          .filter((_, i) => i % every === 0 || i === points.length - 1)
          .flatMap((p) => [digits(p.x / field.offsetWidth), digits(p.y / field.offsetHeight)]);
      }),
    );
  };
  return (
    <Dialog open onClose={onClose} title="Signed for">
      <form onSubmit={sign} noValidate className="grid gap-3">
        <TextField
          label="Who signs"
          value={name}
          onChange={(e) => setName(e.target.value)}
          wrong={wrong?.path === '/name' ? wrong.reason : undefined}
          autoComplete="off"
        />
        <canvas
          ref={setField}
          aria-label="Field to sign in"
          className="w-full h-[200px] border border-rule-strong bg-paper touch-none text-bark"
        />
        <p className="note">With a finger, a pen or the mouse. What is signed is what was handed over.</p>
        {wrong && wrong.path !== '/name' && <Wrong>{wrong.reason}</Wrong>}
        <div className="flex flex-wrap gap-3">
          <Action type="submit">Keep it</Action>
          <Second onClick={() => keep([])}>By name alone</Second>
          <Second onClick={() => pad.current?.clear()}>Wipe it</Second>
        </div>
      </form>
    </Dialog>
  );
}
