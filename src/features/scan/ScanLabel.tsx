import { useState } from 'react';
import { scanned } from '../../core/scan';
import { Dialog } from '../../ui/Dialog';
import { later } from '../../ui/later';

const ScanDialog = later(() => import('./ScanDialog').then((m) => m.ScanDialog));

/** A label is read and opens its thing; what is no label of a Mulch is shown as it reads. */
export function ScanLabel({ onClose }: { onClose(): void }) {
  const [other, setOther] = useState<string | null>(null);
  if (other !== null)
    return (
      <Dialog open onClose={onClose} title="No label of a Mulch">
        <p>It reads</p>
        <p className="mono text-[18px] [overflow-wrap:anywhere]">{other}</p>
      </Dialog>
    );
  return (
    <ScanDialog
      title="Scan a label"
      onClose={onClose}
      onRead={(text) => {
        const read = scanned(text);
        if (read.kind === 'place') window.location.assign(read.to);
        else setOther(read.text);
      }}
    />
  );
}
