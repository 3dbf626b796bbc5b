/** Arrows point one way: app -> features -> ui, data, workers, instruments -> core. */
const layer = (name, from, mayUse) => ({
  name: `one-way-${name}`,
  comment: `${from} may import only ${mayUse.join(', ') || 'itself'} inside src`,
  severity: 'error',
  from: { path: `^src/${from}/` },
  to: { path: '^src/', pathNot: [`^src/${from}/`, ...mayUse.map((m) => `^src/${m}/`)] },
})

/** Inside core: a folder may import only the folders written here; the list is a tree without cycles. */
const CORE_MAY_USE = {
  errors: [],
  numeric: ['errors'],
  units: ['errors'],
  refrigerants: ['errors', 'numeric', 'units'],
  air: ['errors', 'units'],
  readings: ['errors', 'units', 'refrigerants', 'air'],
  logs: ['errors', 'units', 'readings'],
  job: ['errors', 'units', 'refrigerants', 'readings'],
  targets: ['errors', 'units', 'refrigerants', 'air', 'readings', 'job'],
  diagnose: ['errors', 'numeric', 'units', 'refrigerants', 'readings', 'job', 'targets', 'electrical'],
  electrical: [],
  cleanup: ['errors', 'units', 'refrigerants', 'air', 'readings', 'job'],
  plan: ['errors', 'units', 'refrigerants', 'readings', 'job', 'diagnose', 'cleanup'],
  simulate: [
    'errors',
    'numeric',
    'units',
    'refrigerants',
    'air',
    'readings',
    'job',
    'targets',
    'electrical',
    'diagnose',
  ],
  tables: ['errors', 'numeric', 'units', 'refrigerants', 'air'],
  door: [
    'errors',
    'units',
    'refrigerants',
    'readings',
    'job',
    'targets',
    'diagnose',
    'cleanup',
    'plan',
    'simulate',
    'numeric',
  ],
}

module.exports = {
  forbidden: [
    { name: 'no-circular', severity: 'error', from: {}, to: { circular: true } },
    layer('core', 'core', []),
    layer('instruments', 'instruments', ['core']),
    layer('workers', 'workers', ['core']),
    layer('data', 'data', ['core']),
    layer('ui', 'ui', ['core']),
    layer('features', 'features', ['ui', 'data', 'workers', 'instruments', 'core']),
    {
      name: 'core-is-pure',
      severity: 'error',
      from: { path: '^src/core/' },
      to: { path: 'node_modules/(react|react-dom|next|dexie|@mui|chart\\.js)' },
    },
    ...Object.entries(CORE_MAY_USE).map(([folder, mayUse]) => ({
      name: `core-${folder}`,
      comment: `core/${folder} may import only ${mayUse.join(', ') || 'itself'}`,
      severity: 'error',
      from: { path: `^src/core/${folder}/`, pathNot: '\\.test\\.tsx?$' },
      to: { path: '^src/core/', pathNot: [folder, ...mayUse].map((m) => `^src/core/${m}/`) },
    })),
    {
      name: 'core-folder-known',
      comment: 'a new folder of core is added to CORE_MAY_USE first',
      severity: 'error',
      from: { path: `^src/core/(?!(${Object.keys(CORE_MAY_USE).join('|')})/)` },
      to: {},
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'require', 'node', 'default'],
    },
  },
}
