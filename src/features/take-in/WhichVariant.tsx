import { missingIn, type UnitMap } from '../../core/unit';
import { Choices } from '../../ui/Field';

/** Which way this unit is built: what gives each away, and what it is built without. */
export function WhichVariant({
  map,
  value,
  onPick,
  wrong,
}: {
  map: UnitMap;
  value: string;
  onPick(variant: string): void;
  wrong: string | undefined;
}) {
  return (
    <Choices
      label="Which way it is built"
      name="variant"
      value={value}
      onPick={onPick}
      options={[
        ...(map.variants ?? []).map((v) => {
          const without = missingIn(map, v.id);
          return {
            value: v.id,
            words: (
              <span className="grid leading-[1.2] py-1">
                <b>{v.name}</b>
                <span className="note">
                  you see: {v.tell}
                  {without.length > 0 && `; without ${without.join(' ')}`}
                </span>
              </span>
            ),
          };
        }),
        {
          value: '',
          words: (
            <span className="grid leading-[1.2] py-1">
              <b>cannot be told yet</b>
              <span className="note">everything that any of them has stays on the map</span>
            </span>
          ),
        },
      ]}
      wrong={wrong}
    />
  );
}
