import { withQuery, type Query } from './address';
import { slugOf } from './core/ident';
import type { StationName } from './core/station';

/** Every address of the application. */
export const routes = {
  home: () => '/',
  settings: () => '/settings',
  sums: (query: { from?: string | undefined } = {}) => withQuery('/sums', query),
  sum: (id: string, query: Query = {}) => withQuery(`/sums/${id}`, query),
  deck: () => '/sums/deck',
  whatIf: (circuit?: string) => (circuit === undefined ? '/sums/what-if' : `/sums/what-if/${circuit}`),
  changes: () => '/changes',

  donors: (query: { find?: string } = {}) => withQuery('/donors', query),
  donorRows: (query: { find: string; order: string }) => withQuery('/donors/rows', query),
  newDonor: () => '/donors/new',
  compare: (codes: readonly string[] = []) => `/donors/compare${codes.length > 0 ? `?of=${codes.join(',')}` : ''}`,
  questions: () => '/donors/questions',
  glance: (query: { month?: string } = {}) => withQuery('/glance', query),
  trends: (query: { by?: string } = {}) => withQuery('/donors/trends', query),
  archive: () => '/donors/archive',
  donor: (code: string) => `/donors/${code}`,
  station: (
    code: string,
    station: StationName,
    query: { part?: string | undefined; store?: string; minutes?: number } = {},
  ) => withQuery(`/donors/${code}/${station}`, query),
  replace: (code: string, query: { part: string }) => withQuery(`/donors/${code}/replace`, query),
  diagnose: (code: string) => `/donors/${code}/diagnose`,
  powerUp: (code: string) => `/donors/${code}/power-up`,
  wave: (code: string, part: string) => withQuery(`/donors/${code}/test/wave`, { part }),
  board: (code: string, query: { as?: string; name?: string } = {}) => withQuery(`/donors/${code}/board`, query),
  sheets: (code: string, query: { paper?: string; by?: string } = {}) =>
    withQuery(`/donors/${code}/trace/sheets`, query),
  runAsTraced: (code: string, query: { volts?: string } = {}) => withQuery(`/donors/${code}/trace/run`, query),
  report: (code: string, query: { without?: string } = {}) => withQuery(`/donors/${code}/report`, query),
  reportFile: (code: string, as: 'md' | 'pdf' | 'zip', query: { without?: string } = {}) =>
    withQuery(`/donors/${code}/report/${as}`, query),
  photos: (code: string) => `/donors/${code}/photos`,
  photo: (code: string, id: string, query: { place?: string } = {}) => withQuery(`/donors/${code}/photos/${id}`, query),
  photoUpload: (code: string, query: Query) => withQuery(`/donors/${code}/photos/upload`, query),
  preparedPhoto: (code: string, query: Query) => withQuery(`/donors/${code}/photos/prepared`, query),
  picture: (hash: string, size: 'small' | 'medium' | 'large') => `/photos/${hash}/${size}`,

  stock: (query: { find?: string; order?: string } = {}) => withQuery('/stock', query),
  stockRows: (query: { find: string; order: string }) => withQuery('/stock/rows', query),
  stockFile: (query: { as: string; find: string }) => withQuery('/stock/export', query),
  newLot: () => '/stock/new',
  bringLots: () => '/stock/bring',
  importLots: () => '/stock/import',
  scan: () => '/stock/scan',
  bins: () => '/stock/bins',
  stocktake: (bin: string) => `/stock/count/${bin}`,
  labels: (lots: readonly string[] = []) => `/stock/labels${lots.length > 0 ? `?lots=${lots.join(',')}` : ''}`,
  labelSheet: (query: { lots: string; size: string; skip: number }) =>
    `/stock/labels/pdf?lots=${query.lots}&size=${query.size}&skip=${query.skip}`,
  lot: (code: string) => `/stock/${code}`,
  lotPhoto: (code: string) => `/stock/${code}/photo`,
  lotLabel: (code: string, size: string) => `/stock/${code}/label.svg?size=${size}`,

  builds: () => '/builds',
  newBuild: () => '/builds/new',
  design: (query: Query = {}) => withQuery('/builds/design', query),
  wholeSupply: (query: Query = {}) => withQuery('/builds/whole', query),
  build: (code: string, query: Query = {}) => withQuery(`/builds/${code}`, query),
  bringNeeds: (code: string) => `/builds/${code}/bring`,
  buildSheet: (code: string) => `/builds/${code}/sheet`,
  buildReport: (code: string, as: 'md' | 'pdf' | 'zip') => `/builds/${code}/report/${as}`,
  buildDeck: (code: string) => `/builds/${code}/deck`,
  importNeeds: (code: string) => `/builds/${code}/needs`,

  types: (query: { find?: string; kind?: string } = {}) => withQuery('/types', query),
  typeRows: (query: { find: string; kind: string; order: string }) => withQuery('/types/rows', query),
  newType: () => '/types/new',
  bringTypes: () => '/types/bring',
  importTypes: () => '/types/import',
  typesFile: (format: 'csv' | 'json') => `/types/export?format=${format}`,
  type: (id: string) => `/types/${id}`,
  typeDatasheet: (id: string) => `/types/${id}/datasheet`,
  datasheet: (hash: string, page?: number) => `/datasheets/${hash}${page === undefined ? '' : `#page=${page}`}`,

  /** What a code on a label stands for. */
  coded: ({ owner, code }: { owner: 'donor' | 'lot' | 'build'; code: string }) =>
    `/${{ donor: 'donors', lot: 'stock', build: 'builds' }[owner]}/${code}`,

  guide: (section?: string) => `/guide${section === undefined ? '' : `#${section}`}`,
  guideSearch: (find: string) => withQuery('/guide', { find }),
  /** A page of the Guide, at the line of a name where one is given. */
  article: (id: string, line?: string) => `/guide/${id}${line === undefined ? '' : `#${slugOf(line)}`}`,
  chips: () => '/guide/chips',
  chip: (id: string) => `/guide/chips/${encodeURIComponent(id)}`,
  markings: () => '/guide/markings',
  topologies: () => '/guide/topologies',
  topology: (id: string) => `/guide/topologies/${id}`,
} as const;
