/**
 * The rooms of Mulch and what each may import: an allow-list. What is not named here is refused,
 * packages and Node's own modules among it.
 */
const ROOMS = {
  'core/schema': { rooms: [], packages: ['@sinclair/typebox'] },
  'core/line': { rooms: ['core'], packages: ['moo', 'fastest-levenshtein'] },
  'core/simulate': { rooms: ['core'], packages: ['pure-rand'] },
  'core/identity': { rooms: ['core'], packages: ['fastest-levenshtein'] },
  'core/day-plan': { rooms: ['core'], packages: ['@date-fns/tz'] },
  'core/practice': { rooms: ['core'], packages: ['ts-fsrs'] },
  core: { rooms: [], packages: [] },
  schemas: { rooms: ['core'], packages: ['ajv'] },
  data: {
    rooms: ['core', 'schemas'],
    packages: ['drizzle-orm', '@libsql/client', 'ulid'],
    node: ['fs', 'fs/promises', 'path', 'url'],
  },
  backup: {
    rooms: ['core'],
    packages: ['@libsql/client', 'tar', 'ulid'],
    node: ['crypto', 'fs', 'fs/promises', 'path', 'stream/promises', 'url', 'zlib'],
  },
  offline: { rooms: [], packages: ['workbox-[a-z]+'] },
  workers: { rooms: ['core'], packages: ['comlink', '@zxing/library', 'jsqr'] },
  ui: {
    rooms: ['core'],
    packages: ['react', 'react-dom', 'radix-ui', 'react-virtuoso', 'recharts', 'tinykeys', 'date-fns'],
  },
  features: {
    rooms: ['core', 'schemas', 'ui', 'workers', 'offline'],
    packages: [
      'react',
      'react-dom',
      'radix-ui',
      'recharts',
      'tinykeys',
      'date-fns',
      'ulid',
      'comlink',
      '@dagrejs/dagre',
      'papaparse',
      'idb',
      'cmdk',
      'signature_pad',
      '@xyflow/react',
      '@dnd-kit/core',
      '@dnd-kit/sortable',
      '@dnd-kit/utilities',
    ],
  },
  server: {
    rooms: ['core', 'schemas', 'data', 'backup', 'gen'],
    packages: [
      'ajv',
      'pino',
      'qrcode',
      'sharp',
      'pdfkit',
      'fontkit',
      'fonteditor-core',
      'papaparse',
      'ical-generator',
      'ical.js',
      'fflate',
      'ulid',
      'piscina',
      '@node-rs/argon2',
      'rate-limiter-flexible',
    ],
    node: ['crypto', 'fs', 'fs/promises', 'module', 'net', 'os', 'path', 'util', 'zlib'],
    files: ['^package\\.json$'],
  },
  standins: { rooms: ['core', 'demo'], packages: [], node: ['net', 'http'] },
  demo: { rooms: ['core', 'data'], packages: ['ulid'] },
  layouts: { rooms: ['styles', 'features'], packages: ['@fontsource-variable/[^/]+'] },
  pages: { rooms: ['core', 'schemas', 'data', 'server', 'features', 'ui', 'layouts'], packages: ['astro'] },
};

const rule = ([room, { rooms, packages, node = [], files = [] }]) => ({
  name: room,
  severity: 'error',
  from: {
    path: `^src/${room}/`,
    pathNot: [
      '\\.test\\.',
      ...(room === 'core'
        ? [
            '^src/core/schema/',
            '^src/core/line/',
            '^src/core/simulate/',
            '^src/core/practice/',
            '^src/core/day-plan/',
            '^src/core/identity/',
          ]
        : []),
    ],
  },
  to: {
    pathNot: [
      `^src/${room}/`,
      ...rooms.map((r) => `^src/${r}/`),
      // Packages ship their types under their own name or under @types.
      ...packages.map((p) => `(^|/)node_modules/(@types/)?${p}(/|$)`),
      ...node.map((n) => `^(node:)?${n}$`),
      ...files,
    ],
  },
});

/** @type {import('dependency-cruiser').IConfiguration} */
export default {
  forbidden: [
    ...Object.entries(ROOMS).map(rule),
    {
      name: 'ui-knows-no-jobs',
      severity: 'error',
      from: { path: '^src/ui/', pathNot: '\\.test\\.' },
      to: { path: '^src/core/job/' },
    },
    {
      name: 'no-circle',
      severity: 'error',
      from: { path: '^src/' },
      to: { circular: true, viaOnly: { dependencyTypesNot: ['type-only', 'dynamic-import'] } },
    },
    {
      name: 'resolved',
      severity: 'error',
      from: {},
      to: { couldNotResolve: true, pathNot: '^astro:' },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    enhancedResolveOptions: { exportsFields: ['exports'], conditionNames: ['import', 'types', 'default'] },
  },
};
