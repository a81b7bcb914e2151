import type { Person, Role } from '../core/people';
import type { Same, Static, TSchema } from '../core/schema/words';
import { beside } from './threads/beside';
import type { HeavyName } from './threads/heavy';

/** What an endpoint is asked. */
export interface Asked<B> {
  /** checked against its schema; null where none is taken */
  body: B;
  /** the parts of the path in braces */
  params: Record<string, string>;
  url: URL;
  request: Request;
  /** who asks; null where nobody is registered here, or where anybody may ask */
  person: Person | null;
  /** by which device of theirs */
  device: string;
  /** where it comes from */
  from: From;
  /** further lines of a good answer */
  headers: Headers;
}

/** Where a request comes from. */
export interface From {
  address: string;
  /** from this very machine, and not by way of another program */
  own: boolean;
}

type BodyOf<B> = B extends TSchema ? Static<B> : null;
type Soon<T> = T | Promise<T>;
type AnswerOf<A> = A extends TSchema ? Static<A> : Response;

interface Described<B extends TSchema | null, A extends TSchema | 'file'> {
  method: 'get' | 'post' | 'put' | 'delete';
  /** who may ask, once somebody is registered: this role or more; `anyone` without signing in */
  who: Role | 'anyone';
  /** with what varies in braces: `/api/jobs/{id}/events` */
  path: string;
  summary: string;
  /** the document it takes; null = none, or bytes that it reads itself */
  body: B;
  /** how large the body may be */
  megabytes: number;
  /** what reads a body so large that it is read in a thread */
  reader?: 'readJobFile';
  /** the document it answers, or a file */
  answer: A;
  /** of a good answer */
  status: 200 | 201;
  handle(asked: Asked<BodyOf<B>>): Soon<AnswerOf<A>>;
}

/**
 * One endpoint, whole: its address, what it takes and answers, and what it does. An endpoint is one
 * file and one line of the registry; routes, validators and the description for other programs are
 * derived from there.
 */
export type Endpoint = Described<TSchema | null, TSchema | 'file'>;

/** Gives an endpoint the types of its documents. */
export const endpoint = <B extends TSchema | null, A extends TSchema | 'file'>(
  e: Described<B, A>,
): Endpoint => e as unknown as Endpoint;

/**
 * A computation of the core as an endpoint. It compiles only when the answer described is exactly what
 * the core answers, no property more and none less.
 */
export const computation = <B extends TSchema, A extends TSchema, R>(c: {
  name: string;
  summary: string;
  request: B;
  megabytes: number;
  answer: Same<Static<A>, R> extends true ? A : { answerDiffers: Same<Static<A>, R> } & A;
  run: (request: Static<B>) => R;
  /** its name among what is worked out in threads, where it may take its time */
  heavy?: HeavyName;
}): Endpoint =>
  endpoint({
    method: 'post',
    who: 'looker',
    path: `/api/compute/${c.name}`,
    summary: c.summary,
    body: c.request,
    megabytes: c.megabytes,
    answer: c.answer as A,
    status: 200,
    // That the answer is the one described was checked where it was given.
    handle: (({ body }: Asked<Static<B>>) =>
      c.heavy ? beside(c.heavy)(body as never) : c.run(body)) as never,
  });
