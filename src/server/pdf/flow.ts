import { runsOf, type Weight } from '../print-fonts';
import { EDGE, FAINT, INK, line, MM, openSheet, PAGE, type Sheet, widthOf, write } from './sheet';

const MARGIN = 18 * MM;
const FOOT = 16 * MM;
const LEADING = 1.32;

interface Style {
  size?: number;
  weight?: Weight;
  ink?: string;
  /** from the left margin, in points */
  indent?: number;
  /** how wide it may be, in points; to the right margin when absent */
  room?: number;
  /** points below it */
  after?: number;
}

/** Text that flows down pages of A4, broken into lines and pages. */
export class Flow {
  readonly pdf: Sheet;
  private readonly done: () => Promise<Uint8Array>;
  private readonly lacking = new Set<string>();
  private readonly widths = new Map<string, number>();
  private pages = 0;
  y = MARGIN;
  readonly left = MARGIN;
  readonly width = PAGE.width - 2 * MARGIN;

  /** @param foot stands at the foot of every page, beside its number */
  constructor(
    title: string,
    private readonly foot: string,
  ) {
    const { pdf, bytes } = openSheet(title);
    this.pdf = pdf;
    this.done = bytes;
    this.page();
  }

  private page(): void {
    this.pdf.addPage();
    this.pages++;
    this.y = MARGIN;
    line(
      this.pdf,
      `${this.foot}, page ${this.pages}`,
      { x: this.left, y: PAGE.height - FOOT + 3 * MM, size: 8.5, weight: '400', room: this.width },
      this.lacking,
    );
  }

  /** Makes sure that so much fits on this page, else goes to the next. */
  room(points: number): void {
    if (this.y + points > PAGE.height - FOOT) this.page();
  }

  space(points: number): void {
    this.y += points;
  }

  /** A paragraph, broken between words; a word wider than the line is broken where it must. */
  text(text: string, style: Style = {}): void {
    const { size = 10.5, weight = '400', ink = INK, indent = 0, after = 2 } = style;
    const room = style.room ?? this.width - indent;
    for (const broken of this.lines(text, size, weight, room)) {
      this.room(size * LEADING);
      write(this.pdf, runsOf(broken, weight).runs, { x: this.left + indent, y: this.y, size, ink });
      this.y += size * LEADING;
    }
    this.y += after;
  }

  /** Width of one word in points, measured once. */
  private wide(word: string, size: number, weight: Weight): number {
    const key = `${size} ${weight} ${word}`;
    const known = this.widths.get(key);
    if (known !== undefined) return known;
    const width = widthOf(this.pdf, runsOf(word, weight).runs, size);
    this.widths.set(key, width);
    return width;
  }

  private lines(text: string, size: number, weight: Weight, room: number): string[] {
    const lines: string[] = [];
    for (const sign of runsOf(text, weight).lacking) this.lacking.add(sign);
    const blank = this.wide(' ', size, weight);
    let now = '';
    let at = 0;
    const end = () => {
      if (now) lines.push(now);
      now = '';
      at = 0;
    };
    for (const word of text.split(/\s+/).filter(Boolean)) {
      const width = this.wide(word, size, weight);
      if (now && at + blank + width > room) end();
      if (width <= room) {
        at += (now ? blank : 0) + width;
        now = now ? `${now} ${word}` : word;
        continue;
      }
      for (const sign of word) {
        const w = this.wide(sign, size, weight);
        if (now && at + w > room) end();
        now += sign;
        at += w;
      }
    }
    end();
    return lines;
  }

  heading(text: string): void {
    this.room(40);
    this.y += 7;
    this.text(text, { size: 12.5, weight: '700', after: 1 });
    this.rule();
  }

  rule(): void {
    this.pdf
      .lineWidth(0.6)
      .strokeColor(EDGE)
      .moveTo(this.left, this.y)
      .lineTo(this.left + this.width, this.y)
      .stroke();
    this.y += 4;
  }

  /** Columns beside each other, each broken within its share; the next row begins below the longest. */
  row(cells: { text: string; share: number; weight?: Weight; ink?: string }[], size = 9.5): void {
    const gap = 8;
    const laid = cells.map((c) => ({
      ...c,
      lines: this.lines(c.text, size, c.weight ?? '400', this.width * c.share - gap),
    }));
    const height = Math.max(1, ...laid.map((c) => c.lines.length)) * size * LEADING;
    // A row taller than a page cannot be kept together: it is told as text.
    if (height > PAGE.height - MARGIN - FOOT) {
      for (const c of cells) this.text(c.text, { size });
      return;
    }
    this.room(height);
    let x = this.left;
    for (const c of laid) {
      c.lines.forEach((l, i) => {
        write(this.pdf, runsOf(l, c.weight ?? '400').runs, {
          x,
          y: this.y + i * size * LEADING,
          size,
          ink: c.ink ?? INK,
        });
      });
      x += this.width * c.share;
    }
    this.y += height + 2;
  }

  /** A picture from a JPEG or PNG, not wider than its room. */
  picture(bytes: Uint8Array, at: { width: number; height: number; x?: number; hold?: boolean }): void {
    this.room(at.height + 4);
    this.pdf.image(Buffer.from(bytes), at.x ?? this.left, this.y, { fit: [at.width, at.height] });
    if (!at.hold) this.y += at.height + 4;
  }

  async end(): Promise<Uint8Array> {
    if (this.lacking.size)
      this.text(`Not in the shipped fonts, printed by number: ${[...this.lacking].join(' ')}`, {
        size: 8.5,
        ink: FAINT,
      });
    return this.done();
  }
}
