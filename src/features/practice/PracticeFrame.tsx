import type { ComponentProps } from 'react';
import { SheetFrame } from '../sheet/SheetFrame';

/** Frame of the views of the practice bench. */
export const PracticeFrame = (props: Omit<ComponentProps<typeof SheetFrame>, 'tag' | 'links'>) => (
  <SheetFrame
    tag="practice"
    links={props.back.href !== '/' && <a href={props.back.href}>Practice</a>}
    {...props}
  />
);
