import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import { routes } from './routes';

/** Addresses that the folders of the application answer, with `*` where a part of the address stands in. */
const ANSWERED = new Set(
  readdirSync(join(__dirname, 'app'), { recursive: true, encoding: 'utf8' })
    .filter((file) => /(?:^|\/)(?:page\.tsx|route\.ts)$/.test(file))
    .map((file) => patternOf(file.replace(/\/?(?:page\.tsx|route\.ts)$/, ''))),
);

/** `(find)/stock/[code]` answers `/stock/*`. */
function patternOf(folder: string): string {
  const parts = folder.split('/').filter((part) => part !== '' && !/^\(.*\)$/.test(part));
  return `/${parts.map((part) => (part.startsWith('[') ? '*' : part)).join('/')}`;
}

/** Whether a folder answers this address; one that names each part goes before one with a part that stands in. */
function isAnswered(address: string): boolean {
  const parts = (address.split(/[?#]/)[0] ?? '').split('/').filter((part) => part !== '');
  return [...ANSWERED].some((pattern) => {
    const wanted = pattern.split('/').filter((part) => part !== '');
    return wanted.length === parts.length && wanted.every((part, index) => part === '*' || part === parts[index]);
  });
}

const CODE = 'K7F-2QM';
const ADDRESSES: Record<keyof typeof routes, readonly [address: string, expected: string]> = {
  home: [routes.home(), '/'],
  settings: [routes.settings(), '/settings'],
  sums: [routes.sums(), '/sums'],
  sum: [routes.sum('snubber', { alone: '4M4' }), '/sums/snubber?alone=4M4'],
  deck: [routes.deck(), '/sums/deck'],
  whatIf: [routes.whatIf('flyback'), '/sums/what-if/flyback'],
  changes: [routes.changes(), '/changes'],
  donors: [routes.donors({ find: 'adapter 19 V' }), '/donors?find=adapter%2019%20V'],
  donorRows: [routes.donorRows({ find: '', order: '-code' }), '/donors/rows?order=-code'],
  newDonor: [routes.newDonor(), '/donors/new'],
  compare: [routes.compare([CODE, 'M4D-2TX']), '/donors/compare?of=K7F-2QM,M4D-2TX'],
  questions: [routes.questions(), '/donors/questions'],
  glance: [routes.glance({ month: '2026-11' }), '/glance?month=2026-11'],
  trends: [routes.trends(), '/donors/trends'],
  archive: [routes.archive(), '/donors/archive'],
  donor: [routes.donor(CODE), '/donors/K7F-2QM'],
  station: [routes.station(CODE, 'identify', { part: 'Q1' }), '/donors/K7F-2QM/identify?part=Q1'],
  replace: [routes.replace(CODE, { part: 'Q1' }), '/donors/K7F-2QM/replace?part=Q1'],
  diagnose: [routes.diagnose(CODE), '/donors/K7F-2QM/diagnose'],
  powerUp: [routes.powerUp(CODE), '/donors/K7F-2QM/power-up'],
  wave: [routes.wave(CODE, 'Q1'), '/donors/K7F-2QM/test/wave?part=Q1'],
  board: [routes.board(CODE, { as: 'csv' }), '/donors/K7F-2QM/board?as=csv'],
  sheets: [routes.sheets(CODE, { paper: 'A3' }), '/donors/K7F-2QM/trace/sheets?paper=A3'],
  runAsTraced: [routes.runAsTraced(CODE, { volts: '115' }), '/donors/K7F-2QM/trace/run?volts=115'],
  report: [routes.report(CODE, { without: 'maker' }), '/donors/K7F-2QM/report?without=maker'],
  reportFile: [routes.reportFile(CODE, 'zip'), '/donors/K7F-2QM/report/zip'],
  photos: [routes.photos(CODE), '/donors/K7F-2QM/photos'],
  photo: [routes.photo(CODE, 'p1', { place: 'C5' }), '/donors/K7F-2QM/photos/p1?place=C5'],
  photoUpload: [routes.photoUpload(CODE, { name: 'a&b.jpg' }), '/donors/K7F-2QM/photos/upload?name=a%26b.jpg'],
  preparedPhoto: [routes.preparedPhoto(CODE, { from: 'p1' }), '/donors/K7F-2QM/photos/prepared?from=p1'],
  picture: [routes.picture('ab12', 'small'), '/photos/ab12/small'],
  stock: [routes.stock({ find: 'nmos >=600V', order: '' }), '/stock?find=nmos%20%3E%3D600V'],
  stockRows: [routes.stockRows({ find: 'cap', order: 'bin' }), '/stock/rows?find=cap&order=bin'],
  stockFile: [routes.stockFile({ as: 'csv', find: '' }), '/stock/export?as=csv'],
  newLot: [routes.newLot(), '/stock/new'],
  bringLots: [routes.bringLots(), '/stock/bring'],
  importLots: [routes.importLots(), '/stock/import'],
  scan: [routes.scan(), '/stock/scan'],
  bins: [routes.bins(), '/stock/bins'],
  stocktake: [routes.stocktake('C2'), '/stock/count/C2'],
  labels: [routes.labels(['L-AAA', 'L-BBB']), '/stock/labels?lots=L-AAA,L-BBB'],
  labelSheet: [
    routes.labelSheet({ lots: 'L-AAA', size: '38x21', skip: 3 }),
    '/stock/labels/pdf?lots=L-AAA&size=38x21&skip=3',
  ],
  lot: [routes.lot('L-AAA'), '/stock/L-AAA'],
  lotPhoto: [routes.lotPhoto('L-AAA'), '/stock/L-AAA/photo'],
  lotLabel: [routes.lotLabel('L-AAA', '38x21'), '/stock/L-AAA/label.svg?size=38x21'],
  builds: [routes.builds(), '/builds'],
  design: [routes.design(), '/builds/design'],
  newBuild: [routes.newBuild(), '/builds/new'],
  build: [routes.build('B-AAA'), '/builds/B-AAA'],
  types: [routes.types({ kind: 'nmos' }), '/types?kind=nmos'],
  typeRows: [routes.typeRows({ find: 'uc38', kind: '', order: '' }), '/types/rows?find=uc38'],
  wholeSupply: [routes.wholeSupply(), '/builds/whole'],
  bringNeeds: [routes.bringNeeds('M4R-9XK'), '/builds/M4R-9XK/bring'],
  buildSheet: [routes.buildSheet('M4R-9XK'), '/builds/M4R-9XK/sheet'],
  buildReport: [routes.buildReport('B1', 'zip'), '/builds/B1/report/zip'],
  buildDeck: [routes.buildDeck('M4R-9XK'), '/builds/M4R-9XK/deck'],
  importNeeds: [routes.importNeeds('M4R-9XK'), '/builds/M4R-9XK/needs'],
  newType: [routes.newType(), '/types/new'],
  bringTypes: [routes.bringTypes(), '/types/bring'],
  importTypes: [routes.importTypes(), '/types/import'],
  typesFile: [routes.typesFile('json'), '/types/export?format=json'],
  type: [routes.type('t1'), '/types/t1'],
  typeDatasheet: [routes.typeDatasheet('t1'), '/types/t1/datasheet'],
  datasheet: [routes.datasheet('ab12', 7), '/datasheets/ab12#page=7'],
  coded: [routes.coded({ owner: 'lot', code: 'L-AAA' }), '/stock/L-AAA'],
  guide: [routes.guide('bench-line'), '/guide#bench-line'],
  guideSearch: [routes.guideSearch('snubber'), '/guide?find=snubber'],
  article: [routes.article('seams', 'glue'), '/guide/seams#glue'],
  chips: [routes.chips(), '/guide/chips'],
  chip: [routes.chip('UC384x'), '/guide/chips/UC384x'],
  markings: [routes.markings(), '/guide/markings'],
  topologies: [routes.topologies(), '/guide/topologies'],
  topology: [routes.topology('llc'), '/guide/topologies/llc'],
};

test.each(Object.entries(ADDRESSES))('%s is written so that a page answers it', (_, [address, expected]) => {
  expect(address).toBe(expected);
  expect(isAnswered(address)).toBe(true);
});

test.each(['/stok', '/stock/L-AAA/photos', '/donors/K7F-2QM/nowhere'])('%s is nobody’s', (address) => {
  expect(isAnswered(address)).toBe(false);
});
