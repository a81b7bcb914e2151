import { ulid } from 'ulid';
import { type JobEvent, type JobRecord, judge } from '../core/job';
import { Refusal } from '../core/refusal';

/** A job that is told line by line, each some minutes after the one before, by the rules of any other job. */
export class Told {
  private now: number;

  constructor(
    private kept: JobRecord,
    at: number,
    private readonly by: string,
  ) {
    this.now = at;
  }

  get record(): JobRecord {
    return this.kept;
  }
  get state() {
    return this.kept.state;
  }
  get at(): number {
    return this.now;
  }

  /** Time goes by with nothing done. */
  wait(minutes: number): void {
    this.now += minutes * 60_000;
  }

  tell(minutes: number, told: object): void {
    this.now += minutes * 60_000;
    const meta = { id: ulid(this.now), at: new Date(this.now).toISOString(), by: this.by };
    this.kept = judge(this.kept, { ...told, ...meta } as JobEvent);
  }

  /** Tells what may not hold now; whether it did. */
  may(minutes: number, told: object): boolean {
    try {
      this.tell(minutes, told);
      return true;
    } catch (error) {
      if (error instanceof Refusal) return false;
      throw error;
    }
  }

  /** Opens a job. */
  static open(at: number, by: string, told: object): Told {
    const meta = { id: ulid(at), at: new Date(at).toISOString(), by };
    return new Told(judge(null, { ...meta, type: 'job.opened', ...told } as JobEvent), at, by);
  }
}
