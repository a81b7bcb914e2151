import type { Face } from '../../core/unit';
import { face } from './draw';

export const hearingLoopFaces: Face[] = [
  face(
    'rear',
    [430, 88],
    `panel 4 4 422 80
     port 20 24 40 40 mains inlet
     port 96 30 34 26 J1
     port 160 30 60 26 left loop
     port 240 30 60 26 right loop
     port 322 30 26 26 H1
     label 362 22 56 44 HL-40`,
    `mains 40 44
     J1 113 43
     X9 190 43
     X10 270 43
     H1 335 43`,
  ),
  face(
    'top',
    [430, 300],
    `panel 4 4 422 292 lid
     panel 40 190 130 80 hatch
     vent 220 40 170 60
     vent 220 120 170 30
     label 60 40 110 50 service
     hole 14 14 M4 lid longest 12
     hole 416 14 M4 lid longest 12
     hole 416 150 M4 lid longest 12
     hole 416 286 M4 lid longest 12
     hole 14 286 M4 lid longest 12
     hole 14 150 M4 lid longest 12
     hole 48 198 M3 hatch longest 6
     hole 162 262 M3 hatch longest 6`,
    `hatch 105 230
     lid 305 220`,
  ),
  face(
    'through the hatch',
    [130, 80],
    `board 4 4 60 72 A1
     board 70 4 56 72 A2
     part 56 20 22 14 W4
     part 56 46 22 14 W7`,
    `TP1 14 14
     TP2 50 68
     W4 67 27
     W7 67 53
     TP5 84 14
     TP6 118 14`,
    { under: 'hatch' },
  ),
  face(
    'inside',
    [430, 300],
    `board 20 190 120 90 A1
     board 160 150 110 130 A2
     board 290 30 120 80 A3
     board 290 130 120 80 A5
     board 20 20 150 110 A4
     part 190 24 70 44 C11 C12
     part 290 232 120 48 mains inlet`,
    `A1 80 236
     A2 214 214
     A3 350 70
     A5 350 170
     A4 90 70
     W4 150 236
     W7 280 110
     W8 280 190
     C11 224 46
     mains 350 256`,
    { under: 'lid' },
  ),
];
