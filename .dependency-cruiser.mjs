/** The walls of the house: who may come in where. Rooms of the core, ground floor first. */
const ROOMS = [
  'quantity',
  'advice',
  'change',
  'color',
  'order',
  'equipment',
  'artwork',
  'screen',
  'ink',
  'sequence',
  'stroke',
  'heat',
  'registration',
  'rate',
  'schedule',
  'record',
  'craft',
  'trouble',
  'rehearsal',
  'days',
  'plan',
]

const forbid = (name, from, to) => ({ name, severity: 'error', from, to })

export default {
  forbidden: [
    forbid('no-circles', {}, { circular: true }),
    forbid('core-stands-alone', { path: '^src/core' }, { path: '^(src/(?!core)|scripts|e2e)' }),
    forbid(
      'core-takes-only-pure-packages',
      { path: '^src/core', pathNot: '\\.(test|fixtures)\\.ts$' },
      {
        path: 'node_modules',
        pathNot:
          'node_modules/(@types/)?(culori|d3-random|date-fns|fast-deep-equal|fft.js|ml-matrix|ml-levenberg-marquardt|jstat|tinyqueue|yup)',
      },
    ),
    forbid('core-knows-no-machine', { path: '^src/core' }, { dependencyTypes: ['core'] }),
    ...ROOMS.map((room, i) =>
      forbid(
        `${room}-looks-down-only`,
        { path: `^src/core/${room}/` },
        { path: `^src/core/(${ROOMS.slice(i + 1).join('|') || 'none'})/` },
      ),
    ),
    forbid(
      'by-the-front-door',
      { path: '^src/core/([^/]+)/' },
      { path: '^src/core/([^/]+)/(?!index)', pathNot: '^src/core/$1/' },
    ),
    forbid('by-the-front-door-from-outside', { pathNot: '^src/core' }, { path: '^src/core/[^/]+/(?!index)' }),
    forbid(
      'store-formats-devices-apart',
      { path: '^src/(store|formats|devices)/', pathNot: '\\.test\\.ts$' },
      { path: '^src/(app|ui|workers|store|formats|devices)/', pathNot: '^src/$1/' },
    ),
    forbid(
      'ui-knows-no-store',
      { path: '^src/ui', pathNot: '\\.test\\.ts$' },
      { path: '^src/(store|app|formats|workers)' },
    ),
    forbid('worker-computes-only', { path: '^src/workers' }, { path: '^src/(?!core|formats|workers)' }),
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsConfig: { fileName: 'tsconfig.json' },
    tsPreCompilationDeps: true,
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'require', 'node', 'default', 'types'],
    },
  },
}
