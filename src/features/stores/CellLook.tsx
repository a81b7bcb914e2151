import { format } from 'date-fns';
import { useState } from 'react';
import type { ChemistryRow } from '../../core/chemistry';
import { Refusal } from '../../core/refusal';
import { cellSaid, type StockCell } from '../../core/stock';
import { Second } from '../../ui/Action';
import { TextField } from '../../ui/Field';
import { useTyped } from '../../ui/use-kept';
import type { Stocked, StoreLink } from './use-store';

function said(cell: StockCell, chemistry: ChemistryRow[], today: string) {
  try {
    return cellSaid(cell, chemistry, today);
  } catch (error) {
    // The rows of chemistry were changed under it.
    if (error instanceof Refusal) return { words: [error.message], look: true, spent: false };
    throw error;
  }
}

/** A cell on the shelf: how old, how full at its last look, and the next look. */
export function CellLook({
  stocked: { item, version },
  cell,
  store,
  chemistry,
}: {
  stocked: Stocked;
  cell: StockCell;
  store: StoreLink;
  chemistry: ChemistryRow[];
}) {
  const today = format(new Date(), 'yyyy-MM-dd');
  const [f, put, drop] = useTyped(`look-${item.id}`, { volts: '' });
  const [wrong, setWrong] = useState('');
  const row = chemistry.find((c) => c.chemistry === cell.chemistry);
  const { words, look, spent } = said(cell, chemistry, today);
  const keep = async (e: React.FormEvent) => {
    e.preventDefault();
    const restVolts = Number(f.volts.trim().replace(',', '.'));
    if (!(restVolts > 0)) return setWrong('write the volts of the whole pack, over 0');
    const failed = await store.save({ ...item, cell: { ...cell, restVolts, lookedAt: today } }, version);
    setWrong(failed?.reason ?? '');
    if (failed) return;
    put({ volts: '' });
    drop();
  };
  return (
    <form noValidate onSubmit={keep} className="grid gap-2 border-t border-rule pt-3" aria-label="The cell">
      <p className="leading-[1.3]">
        <b>
          {cell.chemistry}
          {cell.series > 1 && `, ${cell.series} in series`}
        </b>
        {words.map((w) => (
          <span key={w} className={`block ${look || spent ? 'text-ochre' : ''}`}>
            {w}
          </span>
        ))}
      </p>
      <TextField
        label="Rest voltage now"
        inputMode="decimal"
        hint={`V of the whole pack${row ? `, after ${row.restHours}\u00a0h of rest` : ''}`}
        value={f.volts}
        onChange={(e) => {
          put({ volts: e.target.value });
          setWrong('');
        }}
        wrong={wrong || undefined}
        autoComplete="off"
      />
      <Second small type="submit" className="justify-self-start" disabled={store.busy}>
        Looked at today
      </Second>
    </form>
  );
}
