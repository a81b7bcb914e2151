import type { Face } from '../../core/unit';
import { face } from './draw';

export const photoPrinterFaces: Face[] = [
  face(
    'face',
    [300, 220],
    `panel 8 8 284 136 top cover
     window 96 34 108 62 strip lamp behind
     label 220 112 60 20 coin 2 a strip
     part 8 152 284 60 paper door
     port 118 172 64 16 strips come out
     hole 16 16 M3 top cover longest 12
     hole 150 16 M3 top cover longest 12
     hole 284 16 M3 top cover longest 12
     hole 284 136 M3 top cover longest 12
     hole 150 136 M3 top cover longest 12
     hole 16 136 M3 top cover longest 12
     hole 26 158 M4
     hole 274 158 M4`,
    `E1 150 66
     D1 270 186`,
  ),
  face(
    'rear',
    [300, 220],
    `panel 8 8 284 204 rear cover
     vent 40 40 96 60
     vent 40 116 96 24
     label 178 40 84 46 type plate PB-3
     port 196 146 60 38 mains inlet
     hole 16 16 M3 rear cover longest 8
     hole 284 16 M3 rear cover longest 8
     hole 284 204 M3 rear cover longest 8
     hole 16 204 M3 rear cover longest 8`,
    'mains 226 165',
  ),
  face(
    'inside the rear',
    [300, 220],
    `panel 20 20 176 130 shield plate
     board 210 20 74 78 A6
     part 30 162 120 46 paper roll
     part 210 112 74 40 C14
     port 216 166 60 38 mains inlet
     hole 26 26 M3 shield plate longest 6
     hole 108 26 M3 shield plate longest 6
     hole 190 26 M3 shield plate longest 6
     hole 190 144 M3 shield plate longest 6
     hole 26 144 M3 shield plate longest 6`,
    `A6 248 60
     W5 204 60
     W2 204 140
     TP1 236 106
     TP4 276 30
     C14 246 132
     mains 246 186`,
    { under: 'rear cover' },
  ),
  face(
    'A2 board',
    [190, 120],
    `board 6 6 84 72 A2
     board 104 6 80 72 A1
     part 20 88 96 26 B1 hold-up pack
     port 6 10 16 8 J1
     port 34 10 16 8 J2
     port 60 10 18 8 J3
     port 60 42 18 8 J4
     port 6 62 16 8 J6
     part 40 46 14 12 relay
     part 80 46 8 12 relay
     part 58 20 22 10 heat sink`,
    `A2 44 32
     A1 144 40
     B1 68 100
     J1 14 14
     J2 42 14
     J3 69 14
     J4 69 46
     J6 14 66`,
    { under: 'shield plate' },
  ),
];
