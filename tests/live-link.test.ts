import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { LiveLink, type Other } from '../src/features/job/live-link';

/** A line as a browser has it, at which a test speaks. */
class Line extends EventTarget {
  static readonly CLOSED = 2;
  static made: Line[] = [];
  readyState = 1;
  constructor(readonly url: string) {
    super();
    Line.made.push(this);
  }
  say(event: string, data: unknown) {
    this.dispatchEvent(new MessageEvent(event, { data: JSON.stringify(data) }));
  }
  close() {
    this.readyState = Line.CLOSED;
  }
}

let moved: number[] = [];
let others: Other[][] = [];
const link = () =>
  new LiveLink('j1', () => 7, { moved: (n) => moved.push(n), others: (all) => others.push(all) });

beforeEach(() => {
  vi.useFakeTimers({ now: Date.parse('2026-11-27T10:00:00Z') });
  vi.stubGlobal('window', { EventSource: Line });
  vi.stubGlobal('EventSource', Line);
  Line.made = [];
  moved = [];
  others = [];
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

describe('the ear of a page', () => {
  it('hears what happened after what it knows, and who else is there', () => {
    const ear = link();
    ear.open();
    ear.open();
    expect(Line.made.map((l) => l.url)).toEqual(['/api/jobs/j1/live?after=7']);
    const [line] = Line.made;
    line?.say('hello', 'me');
    line?.say('others', [
      { id: 'me', name: 'Ines', device: 'Firefox on Linux' },
      { id: 'you', name: 'Tomek', device: 'Chrome on Android phone' },
    ]);
    line?.say('moved', 9);
    expect(moved).toEqual([9]);
    expect(others.at(-1)?.map((o) => o.id)).toEqual(['you']);
    ear.close();
    expect(others.at(-1)).toEqual([]);
    expect(line?.readyState).toBe(Line.CLOSED);
  });

  it('takes a line that says nothing for one that is held back on its way, so that the page asks by itself', () => {
    const ear = link();
    expect(ear.hears).toBe(false);
    ear.open();
    // The line stands, and nothing of what is said on it arrives.
    expect(ear.hears).toBe(false);
    Line.made[0]?.say('beat', 10_000);
    expect(ear.hears).toBe(true);
    vi.advanceTimersByTime(24_000);
    expect(ear.hears).toBe(true);
    vi.advanceTimersByTime(2000);
    expect(ear.hears).toBe(false);
    Line.made[0]?.say('moved', 8);
    expect(ear.hears).toBe(true);
  });

  it('opens a refused line anew when it is told to, and keeps one that the browser tries again', () => {
    const ear = link();
    ear.open();
    const [line] = Line.made;
    line?.dispatchEvent(new Event('error'));
    ear.open();
    expect(Line.made).toHaveLength(1);
    line?.close();
    line?.dispatchEvent(new Event('error'));
    ear.open();
    expect(Line.made).toHaveLength(2);
  });
});
