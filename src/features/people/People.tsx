import type { ComponentProps } from 'react';
import type { Person } from '../../core/people';
import { UnitsFrame } from '../units/UnitsFrame';
import { Everybody } from './Everybody';
import { FirstPerson } from './FirstPerson';
import { Own } from './Own';

/** Who may come in, with which devices. */
export function People({
  own,
  me,
  devices,
  people,
  fingerprint,
}: {
  /** asked for on the machine that Mulch runs on */
  own: boolean;
  me: Person | null;
  devices: ComponentProps<typeof Own>['devices'];
  /** everybody, for a lead */
  people: Person[] | null;
  /** of the certificate of this Mulch, where the way is encrypted */
  fingerprint: string | null;
}) {
  return (
    <UnitsFrame
      tag="who"
      title="People"
      about={me ? 'Who may come in, and with which devices' : 'Nobody is registered'}
    >
      {me ? (
        <div className="cols">
          {people ? (
            <Everybody people={people} me={me.id} />
          ) : (
            <p className="pad">A lead adds others here and says what each may do.</p>
          )}
          <Own person={me} devices={devices} fingerprint={fingerprint} />
        </div>
      ) : (
        <FirstPerson own={own} />
      )}
    </UnitsFrame>
  );
}
