import type { Face } from '../../core/unit';
import { face } from './draw';

export const ticketKioskFaces: Face[] = [
  face(
    'front',
    [400, 620],
    `panel 20 20 360 580 door
     window 70 70 260 150 timetable
     port 90 270 90 26 notes in
     port 230 270 70 26 tickets out
     label 90 340 200 50 TK-2
     port 300 430 40 40 lock`,
    `N1 135 283
     door 320 450`,
  ),
  face(
    'behind the door',
    [400, 620],
    `panel 40 60 320 220 inner panel
     part 60 310 120 110 M1 stacker
     part 220 310 120 110 cash box
     board 60 450 100 60 N1
     hole 50 70 M4 inner panel longest 8
     hole 200 70 M4 inner panel longest 8
     hole 350 70 M4 inner panel longest 8
     hole 350 270 M4 inner panel longest 8
     hole 200 270 M4 inner panel longest 8
     hole 50 270 M4 inner panel longest 8`,
    `M1 120 360
     stacker 120 396
     S1 280 360
     N1 110 480
     W1 180 450
     W2 196 330`,
    { under: 'door' },
  ),
  face(
    'behind the inner panel',
    [320, 220],
    `board 16 16 160 120 A1
     board 196 16 108 160 A4
     port 40 160 90 40 mains inlet`,
    `A1 96 76
     A4 250 96
     TP1 210 30
     mains 84 180`,
    { under: 'inner panel' },
  ),
];
