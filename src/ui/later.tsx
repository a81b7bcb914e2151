import { type ComponentType, type FC, type ReactNode, useEffect, useState } from 'react';
import { Second } from './Action';
import { Wrong } from './Field';

/**
 * A component that is fetched when it is first drawn. Where it cannot be fetched it says so in its place;
 * nothing around it falls.
 *
 * @param load fetches it
 * @param meanwhile what is drawn until it is there
 */
export function later<P extends object>(
  load: () => Promise<ComponentType<P>>,
  meanwhile: (props: P) => ReactNode = () => null,
): FC<P> {
  let there: ComponentType<P> | null = null;
  return function Later(props: P) {
    const [state, setState] = useState<'coming' | 'there' | 'away'>(there ? 'there' : 'coming');
    useEffect(() => {
      if (there) return;
      let gone = false;
      load().then(
        (c) => {
          there = c;
          if (!gone) setState('there');
        },
        () => !gone && setState('away'),
      );
      return () => {
        gone = true;
      };
    }, []);
    const There = there;
    if (There && state === 'there') return <There {...props} />;
    return state === 'away' ? (
      <div className="notice">
        <Wrong>This could not be fetched: there is no connection.</Wrong>
        {/* A browser remembers a piece of script that did not come for as long as the page lives. */}
        <Second small onClick={() => window.location.reload()}>
          Load the page again
        </Second>
      </div>
    ) : (
      meanwhile(props)
    );
  };
}
