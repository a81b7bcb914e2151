import { type ComponentProps, useState } from 'react';
import { scanned } from '../../core/scan';
import { TextField } from '../../ui/Field';
import { later } from '../../ui/later';

const ScanDialog = later(() => import('./ScanDialog').then((m) => m.ScanDialog));

/** A field for a number that is printed on the thing: typed, or read from its code. */
export function ScanField({
  onText,
  ...field
}: Omit<ComponentProps<typeof TextField>, 'onChange'> & { onText(text: string): void }) {
  const [scanning, setScanning] = useState(false);
  return (
    <>
      <TextField
        {...field}
        onChange={(e) => onText(e.target.value)}
        inside={
          <button
            type="button"
            className="absolute right-0 inset-y-0 w-11 grid place-items-center hover:bg-inset"
            aria-label={`Scan: ${field.label}`}
            disabled={field.disabled}
            onClick={() => setScanning(true)}
          >
            <svg width="22" height="20" viewBox="0 0 22 20" aria-hidden="true">
              <path
                d="M1 6V1h5M16 1h5v5M21 14v5h-5M6 19H1v-5M5 6v8M8.5 6v8M11 6v8M14.5 6v8M17 6v8"
                fill="none"
                stroke="currentColor"
                strokeWidth="1.8"
              />
            </svg>
          </button>
        }
      />
      {scanning && (
        <ScanDialog
          title={field.label}
          onClose={() => setScanning(false)}
          onRead={(text) => {
            const read = scanned(text);
            onText(read.kind === 'code' ? read.text : read.to);
            setScanning(false);
          }}
        />
      )}
    </>
  );
}
