import { type ReactNode, useEffect, useState } from 'react';

/**
 * The frame of every view. Until the page is alive it takes no input, so that nothing typed into a
 * page still loading is lost.
 */
export function Frame({ className = '', children }: { className?: string; children: ReactNode }) {
  const [alive, setAlive] = useState(false);
  useEffect(() => setAlive(true), []);
  return (
    <div className={`frame ${className}`} inert={!alive}>
      {children}
    </div>
  );
}
