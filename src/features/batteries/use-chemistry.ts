import { useEffect, useState } from 'react';
import { type ChemistryTable, SHIPPED } from '../../core/chemistry';

/** The chemistry rows in force: those shipped until the server has said otherwise. */
export function useChemistry(): [ChemistryTable, (t: ChemistryTable) => void] {
  const [table, setTable] = useState<ChemistryTable>(SHIPPED);
  useEffect(() => {
    let gone = false;
    void fetch('/api/chemistry')
      .then((r) => (r.ok ? (r.json() as Promise<ChemistryTable>) : null))
      .then((t) => {
        if (t && !gone) setTable(t);
      })
      // Without a connection the rows shipped are used, and the view says which they are.
      .catch(() => {});
    return () => {
      gone = true;
    };
  }, []);
  return [table, setTable];
}
