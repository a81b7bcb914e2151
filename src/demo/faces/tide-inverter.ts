import type { Face } from '../../core/unit';
import { face } from './draw';

export const tideInverterFaces: Face[] = [
  face(
    'front',
    [320, 260],
    `panel 10 40 300 210 lid
     panel 4 4 312 60 sunshade
     label 196 150 90 60 SI-900
     window 60 110 70 40 run lamp
     port 40 200 90 34 Q1
     hole 18 12 M5 sunshade longest 16
     hole 302 12 M5 sunshade longest 16
     hole 302 56 M5 sunshade longest 16
     hole 18 56 M5 sunshade longest 16
     hole 22 76 M4 lid longest 14
     hole 108 76 M4 lid longest 14
     hole 212 76 M4 lid longest 14
     hole 298 76 M4 lid longest 14
     hole 298 160 M4 lid longest 14
     hole 298 238 M4 lid longest 14
     hole 212 238 M4 lid longest 14
     hole 150 238 M4 lid longest 14
     hole 22 238 M4 lid longest 14
     hole 22 160 M4 lid longest 14`,
    `D1 95 130
     Q1 85 217`,
  ),
  face(
    'inside',
    [300, 210],
    `board 10 10 120 90 A1
     board 150 10 140 110 A3
     part 60 116 60 46 K2
     part 150 134 66 60 C3
     board 230 140 60 56 A5
     port 10 176 96 26 X1`,
    `A1 70 50
     A3 220 60
     K2 90 139
     C3 183 164
     A5 260 168
     W12 226 130
     TP2 128 130
     panels 58 189`,
    { under: 'lid' },
  ),
];
