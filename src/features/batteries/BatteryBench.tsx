import { Tabs } from 'radix-ui';
import { Second } from '../../ui/Action';
import { useTyped } from '../../ui/use-kept';
import { openSum } from '../sums/open-sum';
import { UnitsFrame } from '../units/UnitsFrame';
import { BatterySheets } from './BatterySheets';
import { type BatteryTexts, EMPTY_TEXTS } from './bench';
import { ChargeAndHours } from './ChargeAndHours';
import { ChemistryEditor } from './ChemistryEditor';
import { useChemistry } from './use-chemistry';

/** The battery bench: old and new, how full and how long, and the chemistry behind both. */
export function BatteryBench() {
  const [texts, put] = useTyped<BatteryTexts>('batteries', EMPTY_TEXTS);
  const [table, setTable] = useChemistry();
  return (
    <UnitsFrame
      tag="Cells"
      title="Battery bench"
      about="does the new one fit, how full is it, and how long does it last"
    >
      <Tabs.Root defaultValue="fit" className="grid content-start grid-rows-[auto_1fr] min-h-full">
        <div className="flex flex-wrap gap-3 items-end justify-between px-4 pt-3 border-b border-rule-strong">
          <Tabs.List className="tabs border-b-0!" aria-label="Battery bench">
            <Tabs.Trigger value="fit">Old and new</Tabs.Trigger>
            <Tabs.Trigger value="charge">Charge and hours</Tabs.Trigger>
            <Tabs.Trigger value="chemistry">Chemistry</Tabs.Trigger>
          </Tabs.List>
          <span className="flex flex-wrap gap-2 pb-2">
            {(
              [
                ['internal-resistance', 'Internal resistance'],
                ['cell-spread', 'Cell spread'],
                ['health', 'Health'],
                ['transport', 'Transport'],
              ] as const
            ).map(([name, words]) => (
              <Second key={name} small onClick={() => openSum({ name })}>
                {words}
              </Second>
            ))}
          </span>
        </div>
        <Tabs.Content value="fit" className="grid">
          <BatterySheets texts={texts} table={table} onTexts={put} />
        </Tabs.Content>
        <Tabs.Content value="charge">
          <ChargeAndHours texts={texts} table={table} onTexts={put} />
        </Tabs.Content>
        <Tabs.Content value="chemistry">
          <ChemistryEditor table={table} onTable={setTable} />
        </Tabs.Content>
      </Tabs.Root>
    </UnitsFrame>
  );
}
