import { Tabs } from 'radix-ui';
import { Second } from '../../ui/Action';
import { openSum } from '../sums/open-sum';
import { UnitsFrame } from '../units/UnitsFrame';
import { ContinuityGrid } from './ContinuityGrid';
import { FlatCable } from './FlatCable';
import { JumperSheet } from './JumperSheet';
import { PlugInBoard } from './PlugInBoard';
import { SettingsSheet } from './SettingsSheet';
import { StepperSheet } from './StepperSheet';

const TABS = [
  ['flat', 'Flat cable', FlatCable],
  ['continuity', 'Continuity', ContinuityGrid],
  ['board', 'Plug-in board', PlugInBoard],
  ['jumpers', 'Jumpers', JumperSheet],
  ['settings', 'Settings', SettingsSheet],
  ['stepper', 'Stepper', StepperSheet],
] as const;

const SUMS = [
  ['serial-level', 'Serial level'],
  ['ferrule', 'Ferrule'],
  ['colour-code', 'Wire colours'],
] as const;

/** The cable bench: does the spare fit, what is broken in a cable, how a board sits, what it is set to. */
export function CableBench() {
  return (
    <UnitsFrame tag="Leads" title="Cable bench" about="cables, boards that plug in, jumpers and settings">
      <Tabs.Root defaultValue="flat" className="grid content-start grid-rows-[auto_1fr] min-h-full">
        <div className="flex flex-wrap gap-3 items-end justify-between px-4 pt-3 border-b border-rule-strong">
          <Tabs.List className="tabs border-b-0!" aria-label="Cable bench">
            {TABS.map(([id, words]) => (
              <Tabs.Trigger key={id} value={id}>
                {words}
              </Tabs.Trigger>
            ))}
          </Tabs.List>
          <span className="flex flex-wrap gap-2 pb-2">
            {SUMS.map(([name, words]) => (
              <Second key={name} small onClick={() => openSum({ name })}>
                {words}
              </Second>
            ))}
          </span>
        </div>
        {TABS.map(([id, , Sheet]) => (
          <Tabs.Content key={id} value={id} className="pad">
            <Sheet />
          </Tabs.Content>
        ))}
      </Tabs.Root>
    </UnitsFrame>
  );
}
