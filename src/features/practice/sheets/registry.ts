import type { ComponentType } from 'react';
import type { KindId } from '../../../core/practice';
import { FitsSheet } from './FitsSheet';
import { MissingSheet } from './MissingSheet';
import { PlugsBackSheet } from './PlugsBackSheet';
import { QuickSheet } from './QuickSheet';
import type { SheetProps } from './sheet';
import { WayBackSheet } from './WayBackSheet';

type AnySheet = ComponentType<SheetProps<unknown, unknown>>;
/** A sheet without the types of its own question and answer. */
const untyped = <Q, A>(sheet: ComponentType<SheetProps<Q, A>>) => sheet as unknown as AnySheet;

/** The sheet of every kind of exercise that has one of its own. */
export const SHEETS: Record<KindId, AnySheet> = {
  'what is missing': untyped(MissingSheet),
  'plugs back': untyped(PlugsBackSheet),
  'way back': untyped(WayBackSheet),
  'fits, or not': untyped(FitsSheet),
  'quick reading': untyped(QuickSheet),
};
