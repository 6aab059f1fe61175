import { inflateSync } from 'node:zlib';
import { PDFDocument } from 'pdf-lib';
import { allAtOnce } from '../../core/steps';
import { firstPowerOf, searchDesigns, type DesignLot, type DesignSpec } from '../../core/design';
import { buildSheetPdf } from './buildSheetPdf';
import { designView } from './designView.server';

const lot = (code: string, kind: string, ratings: DesignLot['ratings'], more: Partial<DesignLot> = {}): DesignLot => ({
  code,
  kind,
  pieces: 4,
  ratings,
  ...more,
});
const STOCK = [
  lot('Q-1', 'nmos', { vds: 100, rdsOn: 0.044, id: 33 }, { package: 'TO-220', marking: '33N10' }),
  lot('D-1', 'dual-diode', { vrrm: 100, ifav: 20, vf: 0.55 }, { technology: 'schottky', package: 'TO-220' }),
  lot('L-1', 'inductor', { inductance: 47e-6, saturation: 7, current: 7, dcr: 0.03 }),
  lot('C-1', 'capacitor', { capacitance: 470e-6, voltage: 63, esr: 0.04, ripple: 2 }, { technology: 'electrolytic' }),
];
const SPEC: DesignSpec = { inputLow: 22, inputHigh: 26, output: 48, current: 1 };

function view() {
  const found = allAtOnce(searchDesigns(SPEC, STOCK));
  if ('wrong' in found) throw new Error(found.wrong);
  const [design] = found.designs;
  if (!design) throw new Error('No design.');
  const lots = new Map(STOCK.map(({ code }, index) => [code, { title: code, bin: `B${index}` }]));
  return { design, view: designView(design, SPEC, { lots, stock: STOCK }) };
}

test('a build sheet holds its circuit, its parts by bin, the small parts and the first power-up, in a PDF that others read', async () => {
  const { design, view: shown } = view();
  const steps = firstPowerOf(design, SPEC);
  const bytes = await buildSheetPdf({
    code: 'B-1',
    title: '24 V → 48 V Ω',
    design: shown,
    steps,
    cautions: ['never on the mains'],
  });
  const read = await PDFDocument.load(bytes);
  expect(read.getPageCount()).toBeGreaterThanOrEqual(1);
  const raw = Buffer.from(bytes).toString('latin1');
  const text = [...raw.matchAll(/stream\r?\n([\s\S]*?)\r?\nendstream/g)]
    .map(([, stream = '']) => {
      try {
        return inflateSync(Buffer.from(stream, 'latin1')).toString('latin1');
      } catch {
        return '';
      }
    })
    .join('\n')
    .replaceAll(/<([0-9A-F]+)> Tj/g, (_, hex: string) => `${Buffer.from(hex, 'hex').toString('latin1')}\n`);
  for (const part of [
    'Parts, bin by bin',
    'Q-1',
    'D-1',
    'L-1',
    'C-1',
    'timing resistor',
    'First power-up',
    'never on the mains',
  ])
    expect([part, text.includes(part)]).toEqual([part, true]);
  expect(text).not.toContain('Ω');
});

test('its first power-up has the load on before the supply, the limit above what is drawn, and ends dead', () => {
  const { design } = view();
  const steps = firstPowerOf(design, SPEC).map(({ text }) => text);
  const loaded = steps.findIndex((text) => text.startsWith('Clip a load'));
  const fed = steps.findIndex((text) => text.includes('turn the bench supply up'));
  expect([loaded > 0, fed > loaded, steps.at(-1)?.includes('read input and output cans')]).toEqual([true, true, true]);
  // 48 W at 96 % from 22 V: 2.27 A and 1.3 times that; 48 Ω at full load.
  expect(steps.find((text) => text.includes('full load'))).toMatch(/48\sΩ \(48\sW.*limit at (?:2\.9|3(?:\.0)?)\sA/u);
});
