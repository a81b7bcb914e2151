import { createServer } from 'node:http';

/** A part as the made-up catalogue lists it; money in minor units. */
export interface CataloguePart {
  number: string;
  name: string;
  maker: string;
  price: { amount: number; currency: string };
  leadDays: number;
  stock: number;
  /** words it is found by, designators among them */
  words: string[];
}

const eur = (amount: number) => ({ amount, currency: 'EUR' });

export const CATALOGUE: CataloguePart[] = [
  {
    number: 'HP-7220',
    name: 'pack 7.2 V 2-way plug',
    maker: 'Hapstock',
    price: eur(3850),
    leadDays: 2,
    stock: 4,
    words: ['B1', 'pack', 'battery', 'PB-3'],
  },
  {
    number: 'OT-72N',
    name: 'pack 7.2 V, bare leads',
    maker: 'Ottermere Cells',
    price: eur(2190),
    leadDays: 6,
    stock: 20,
    words: ['B1', 'pack', 'battery', '7.2'],
  },
  {
    number: 'HB-A2-C',
    name: 'control board PB-3, issue C',
    maker: 'Hapstock',
    price: eur(18400),
    leadDays: 9,
    stock: 1,
    words: ['A2', 'control', 'board', 'PB-3'],
  },
  {
    number: 'HB-A2-B',
    name: 'control board PB-3, issue B, exchanged',
    maker: 'Fennick Exchange',
    price: eur(9900),
    leadDays: 3,
    stock: 2,
    words: ['A2', 'control', 'board', 'PB-3'],
  },
  {
    number: 'QF-R10-120',
    name: 'ribbon 10-way 120 mm',
    maker: 'Quayle & Finch',
    price: eur(640),
    leadDays: 1,
    stock: 12,
    words: ['W4', 'ribbon', 'cable', 'HL-40'],
  },
  {
    number: 'QF-R10-200',
    name: 'ribbon 10-way 200 mm',
    maker: 'Quayle & Finch',
    price: eur(720),
    leadDays: 1,
    stock: 9,
    words: ['W7', 'W8', 'ribbon', 'cable', 'HL-40'],
  },
  {
    number: 'TL-R10-200',
    name: 'ribbon 10-way 200 mm, halogen free',
    maker: 'Tarle Leads',
    price: eur(510),
    leadDays: 4,
    stock: 60,
    words: ['W7', 'W8', 'ribbon', 'cable'],
  },
  {
    number: 'HR-48-30',
    name: 'relay 48 V, 30 A',
    maker: 'Hapstock',
    price: eur(1480),
    leadDays: 5,
    stock: 3,
    words: ['K2', 'relay', 'SI-900'],
  },
  {
    number: 'MB-R26-400',
    name: 'ribbon 26-way 400 mm',
    maker: 'Murrowby',
    price: eur(1120),
    leadDays: 2,
    stock: 5,
    words: ['W2', 'W3', 'ribbon', 'DB-12'],
  },
  {
    number: 'MB-ROW4',
    name: 'row board, 4 rows',
    maker: 'Murrowby',
    price: eur(14900),
    leadDays: 12,
    stock: 0,
    words: ['A3', 'A4', 'row', 'board', 'DB-12'],
  },
  {
    number: 'HL-24S',
    name: 'strip lamp 24 V',
    maker: 'Hapstock',
    price: eur(990),
    leadDays: 2,
    stock: 8,
    words: ['E1', 'lamp', 'PB-3'],
  },
];

const wordsOf = (text: string) =>
  text
    .toLowerCase()
    .split(/[^a-z0-9.&-]+/)
    .filter((w) => w.length > 1);

/** Parts that share words with what is asked for, the nearest first. */
export function search(asked: string, parts: CataloguePart[] = CATALOGUE): CataloguePart[] {
  const words = wordsOf(asked);
  const score = (p: CataloguePart) => {
    const has = new Set(wordsOf(`${p.name} ${p.number} ${p.maker} ${p.words.join(' ')}`));
    return words.filter((w) => has.has(w)).length;
  };
  return parts
    .map((p) => ({ p, n: score(p) }))
    .filter(({ n }) => n > 0 && n >= Math.min(2, words.length))
    .sort((a, b) => b.n - a.n || a.p.price.amount - b.p.price.amount)
    .map(({ p }) => p);
}

/** A parts catalogue over HTTP: GET /parts?q=… answers JSON. */
export function standInCatalogue(): Promise<{ address: string; close(): Promise<void> }> {
  const server = createServer((req, res) => {
    const url = new URL(req.url ?? '/', 'http://catalogue');
    if (url.pathname !== '/parts') {
      res.writeHead(404, { 'content-type': 'application/json' }).end('{"detail":"no such page"}');
      return;
    }
    const parts = search(url.searchParams.get('q') ?? '');
    res.writeHead(200, { 'content-type': 'application/json' }).end(JSON.stringify({ parts }));
  });
  return new Promise((ok) => {
    server.listen(0, '127.0.0.1', () => {
      const at = server.address();
      ok({
        address: `http://127.0.0.1:${typeof at === 'object' && at ? at.port : 0}`,
        close: () =>
          new Promise((done) => {
            server.closeAllConnections();
            server.close(() => done());
          }),
      });
    });
  });
}
