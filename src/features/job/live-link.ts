/** Somebody else who has the job open. */
export interface Other {
  id: string;
  name: string;
  device: string;
}

interface Hears {
  /** the job has so many entries now */
  moved(seq: number): void;
  /** who else has it open */
  others(others: Other[]): void;
}

/** Beats that may be missed before the way is taken for one that holds them back. */
const MISSED = 2.5;

/**
 * The ear of a page: hears at once what happens in its job on other devices, while it is in sight. A page
 * out of sight holds no line, of which a browser has few. Where nothing is heard, `hears` says so, and the
 * page asks now and then instead.
 */
export class LiveLink {
  private source: EventSource | null = null;
  private me = '';
  private heardAt = 0;
  private beatMs = 10_000;

  constructor(
    private readonly job: string,
    /** entries that the page knows */
    private readonly known: () => number,
    private readonly to: Hears,
  ) {}

  /** Whether the line stands and says something now and then. */
  get hears(): boolean {
    return this.source !== null && Date.now() - this.heardAt < this.beatMs * MISSED;
  }

  open(): void {
    if (this.source || !('EventSource' in window)) return;
    const source = new EventSource(`/api/jobs/${this.job}/live?after=${this.known()}`);
    const on = <T>(event: string, hear: (data: T) => void) =>
      source.addEventListener(event, (e) => {
        this.heardAt = Date.now();
        hear(JSON.parse((e as MessageEvent<string>).data) as T);
      });
    on<string>('hello', (me) => {
      this.me = me;
    });
    on<number>('beat', (ms) => {
      this.beatMs = ms;
    });
    on<number>('moved', (seq) => this.to.moved(seq));
    on<Other[]>('others', (all) => this.to.others(all.filter((o) => o.id !== this.me)));
    // A line that is refused is not tried again by the browser: the page asks, and opens it when it is well.
    source.addEventListener('error', () => {
      this.to.others([]);
      if (source.readyState === EventSource.CLOSED && this.source === source) this.source = null;
    });
    this.source = source;
  }

  close(): void {
    this.source?.close();
    this.source = null;
    this.to.others([]);
  }
}
