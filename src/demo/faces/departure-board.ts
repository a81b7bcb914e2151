import type { Face } from '../../core/unit';
import { face } from './draw';

export const departureBoardFaces: Face[] = [
  face(
    'back',
    [600, 320],
    `panel 8 8 584 304 back panel
     vent 60 60 180 40
     vent 360 60 180 40
     label 60 220 120 60 DB-12
     port 470 230 70 46 mains inlet
     port 370 236 60 34 data line
     hole 18 18 M4 back panel longest 10
     hole 212 18 M4 back panel longest 10
     hole 388 18 M4 back panel longest 10
     hole 582 18 M4 back panel longest 10
     hole 582 302 M4 back panel longest 10
     hole 388 302 M4 back panel longest 10
     hole 212 302 M4 back panel longest 10
     hole 18 302 M4 back panel longest 10`,
    'mains 505 253',
  ),
  face(
    'inside',
    [584, 304],
    `board 20 20 540 70 A3
     board 20 110 540 70 A4
     board 20 210 120 76 A1
     board 170 210 140 76 A2
     board 350 210 200 76 A5`,
    `A3 290 55
     A4 290 145
     A1 80 248
     A2 240 248
     A5 450 248
     W2 240 98
     W3 320 196
     W1 156 248
     TP1 364 224
     D2 156 276
     mains 530 270`,
    { under: 'back panel' },
  ),
];
