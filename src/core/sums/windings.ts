import { practice } from '../evidence';
import {
  CORES,
  copperResistance,
  effectivePermeability,
  gapEnergy,
  gapLength,
  gaugeOf,
  peakFlux,
  ringFactor,
  ringField,
  ringFrequency,
  skinDepth,
  strandsFor,
  windowFill,
  wireArea,
} from '../magnetics';
import { drawn, figure, plain, q, type Mark, type Sum } from './sum';

const CORE_NAMES = CORES.map(({ name }) => name);
const coreOf = (name: string) => CORES.find((one) => one.name === name) ?? CORES[5]!;
/** Flux that ferrite stands when it is hot, and what a design for an unknown one takes; common practice, no source. Tesla. */
const FLUX = practice({ most: 0.39, unknown: 0.2 } as const);
const tesla = (value: number) => `${Number(value.toPrecision(3))} T`;
const fluxMark = (value: number): Mark => (value > FLUX.most ? 'reject' : value > 0.3 ? 'warn' : 'ok');

export const WINDINGS: readonly Sum[] = [
  {
    id: 'turns',
    question: 'make',
    title: 'Turns for a transformer',
    words: 'transformer core turns flux rewinding primary secondary',
    fields: [
      { id: 'core', label: 'core', choices: CORE_NAMES, usual: 'ETD39/20/13' },
      { id: 'v', label: 'volts at the primary', unit: 'volt', usual: '150V' },
      { id: 'on', label: 'for so long', unit: 'second', usual: '10us' },
      { id: 'drive', label: 'driven', choices: ['one way', 'both ways'], usual: 'both ways' },
      { id: 'b', label: 'flux, peak, T', unit: 'count', usual: '0.15' },
      { id: 'out', label: 'volts at a secondary', unit: 'volt', usual: '13V' },
    ],
    work: ({ n, t }) => {
      const core = coreOf(t('core'));
      const swing = n('b') * (t('drive') === 'both ways' ? 2 : 1);
      const exact = (n('v') * n('on')) / (swing * core.area);
      const turns = Math.ceil(exact);
      const flux = (n('b') * exact) / turns;
      const secondary = (turns * n('out')) / n('v');
      return {
        answer: `${turns} turns, and ${Math.max(1, Math.round(secondary))} for ${q(n('out'), 'volt')}`,
        more: `Each turn carries ${q(n('v') / turns, 'volt')}.`,
        mark: fluxMark(flux),
        figures: [
          plain('exact', 'primary turns, at least', exact, ''),
          plain('secondary', 'secondary turns, exactly', secondary, ''),
          figure('inductance', 'primary without a gap, about', turns ** 2 * core.inductanceFactor, 'henry'),
          figure(
            'rounded',
            'the rounded secondary gives',
            (Math.max(1, Math.round(secondary)) * n('v')) / turns,
            'volt',
          ),
        ],
        picture: {
          kind: 'core',
          words: { name: core.name, turns: `${turns} turns`, leg: `${(core.area * 1e6).toFixed(0)} mm²` },
        },
        why: [
          `The peak flux is ${tesla(flux)}; ferrite stands ${tesla(FLUX.most)} when hot, and an unknown one is taken at ${tesla(FLUX.unknown)}.`,
          `${core.name} has ${(core.area * 1e6).toFixed(0)} mm².`,
        ],
        cautions: [
          'A rewound transformer across the mains barrier is not type-tested: three layers of tape, margins of 3 mm on each side, or triple-insulated wire. Tape of an unknown kind counts as none.',
        ],
        next: 'Wind the turns, measure the inductance, and drive it from a limited supply first.',
      };
    },
    formula: ['N = V t / (ΔB Ae)'],
    source: 'Physics; core values from tables of makers, from memory',
  },
  {
    id: 'gap',
    question: 'make',
    title: 'A gap for a core',
    words: 'gap inductor flyback core turns energy choke',
    fields: [
      { id: 'core', label: 'core', choices: CORE_NAMES, usual: 'E25/13/7' },
      { id: 'l', label: 'inductance wanted', unit: 'henry', usual: '600u', from: 'inductance' },
      { id: 'i', label: 'peak current', unit: 'ampere', usual: '1.5A' },
      { id: 'b', label: 'flux, peak, T', unit: 'count', usual: '0.25' },
    ],
    work: ({ n, t }) => {
      const core = coreOf(t('core'));
      const exact = (n('l') * n('i')) / (n('b') * core.area);
      const turns = Math.ceil(exact);
      const flux = peakFlux({ inductance: n('l'), current: n('i'), turns, area: core.area });
      const gap = gapLength({ turns, area: core.area, inductance: n('l'), path: core.path });
      const energy = (n('l') * n('i') ** 2) / 2;
      const held = gapEnergy({ flux, area: core.area, gap: Math.max(0, gap) });
      if (gap <= 0)
        return {
          wrong: `${core.name} without a gap gives less than ${q(n('l'), 'henry')} with ${turns} turns: more turns, or a larger core.`,
          field: 'l',
        };
      return {
        answer: `${turns} turns, and ${q(gap, 'metre')} of gap`,
        more: `Ground into the middle leg, or ${q(gap / 2, 'metre')} of spacer under both halves.`,
        mark: gap > 2e-3 ? 'warn' : fluxMark(flux),
        figures: [
          figure('factor', 'inductance of one turn', n('l') / turns ** 2, 'henry'),
          figure('energy', 'energy at the peak', energy, 'joule'),
          figure('held', 'of it in the gap', held / energy, 'ratio'),
          figure(
            'mu',
            'permeability with the gap',
            effectivePermeability({ inductanceFactor: n('l') / turns ** 2, path: core.path, area: core.area }),
            'count',
          ),
        ],
        curve: {
          caption: 'flux over current',
          x: { label: 'current', unit: 'ampere' },
          y: { label: 'thousandths of a tesla', unit: 'count' },
          lines: [
            {
              label: 'flux',
              points: drawn(
                [0, n('i') * 1.8],
                (current) => 1e3 * peakFlux({ inductance: n('l'), current, turns, area: core.area }),
                2,
              ),
            },
          ],
          limits: [{ label: 'ferrite, hot', y: FLUX.most * 1e3 }],
          here: [n('i'), flux * 1e3],
        },
        picture: {
          kind: 'core',
          words: {
            name: core.name,
            turns: `${turns} turns`,
            leg: `${(core.area * 1e6).toFixed(0)} mm²`,
            gap: q(gap, 'metre'),
          },
        },
        why: [`The peak flux is ${tesla(flux)}.`, 'The air in the gap, not the ferrite, holds the energy.'],
        cautions: [
          'The field bulges out of a gap: the true inductance is 5 to 15 % higher. Measure it, and keep windings away from a wide gap.',
        ],
        next: 'Grind a little, measure, grind again.',
      };
    },
    formula: ['N = L I / (B Ae)', 'lg = µ₀ N² Ae / L − le/µi'],
    source: 'Physics; core values from tables of makers, from memory',
  },
  {
    id: 'saturate',
    question: 'stand',
    title: 'Current that saturates a core',
    words: 'saturation inductor current flux choke',
    fields: [
      { id: 'core', label: 'core', choices: CORE_NAMES, usual: 'E25/13/7' },
      { id: 'l', label: 'inductance', unit: 'henry', usual: '600u', from: 'inductance' },
      { id: 'turns', label: 'turns', unit: 'count', usual: '70' },
      { id: 'i', label: 'current it will carry, peak', unit: 'ampere', usual: '1.5A' },
    ],
    work: ({ n, t }) => {
      const core = coreOf(t('core'));
      const at = (flux: number) => (flux * n('turns') * core.area) / n('l');
      const flux = peakFlux({ inductance: n('l'), current: n('i'), turns: n('turns'), area: core.area });
      return {
        answer: `${q(at(FLUX.most), 'ampere')} when it is hot`,
        more: flux > FLUX.most ? 'Your current is above it.' : `Your current brings it to ${tesla(flux)}.`,
        mark: fluxMark(flux),
        figures: [
          figure('most', 'hot', at(FLUX.most), 'ampere'),
          figure('cold', 'at 25 °C, about', at(0.48), 'ampere'),
          figure('safe', 'for a ferrite of unknown kind', at(FLUX.unknown), 'ampere'),
          figure('stored', 'energy at your current', (n('l') * n('i') ** 2) / 2, 'joule'),
        ],
        why: ['Ferrite holds 0.48 T cold and 0.39 T at 100 °C: what is well on the bench may saturate in its case.'],
        cautions: ['A common-mode choke is none for storage: it saturates at a few per cent of its rated current.'],
        next: 'Prove it with a pulse: the slope of the current grows steeper where it saturates.',
      };
    },
    formula: ['B = L I / (N Ae)'],
    source: 'Physics; flux limits are common practice, no source',
  },
  {
    id: 'toroid',
    question: 'make',
    title: 'Inductance of a ring core',
    words: 'toroid powder ring turns inductance',
    fields: [
      { id: 'od', label: 'outer diameter', unit: 'metre', usual: '27mm' },
      { id: 'id', label: 'inner diameter', unit: 'metre', usual: '14mm' },
      { id: 'h', label: 'height', unit: 'metre', usual: '11mm' },
      { id: 'mu', label: 'permeability', unit: 'count', usual: '75' },
      { id: 'turns', label: 'turns', unit: 'count', usual: '40' },
      { id: 'i', label: 'direct current', unit: 'ampere', usual: '5A' },
    ],
    work: ({ n }) => {
      const of = { outer: n('od'), inner: n('id'), height: n('h'), permeability: n('mu') };
      if (of.inner >= of.outer) return { wrong: 'The inner diameter must be below the outer one.', field: 'id' };
      const factor = ringFactor(of);
      const inductance = factor * n('turns') ** 2;
      const field = ringField({ turns: n('turns'), current: n('i'), outer: of.outer, inner: of.inner });
      return {
        answer: `${q(inductance, 'henry')} without current`,
        more: 'With the current a powder core keeps half to four fifths of it.',
        mark: 'note',
        figures: [
          figure('inductance', 'without current', inductance, 'henry'),
          figure('factor', 'one turn', factor, 'henry'),
          figure('low', 'with the current, perhaps', 0.5 * inductance, 'henry'),
          figure('high', 'to', 0.8 * inductance, 'henry'),
          plain('field', 'field', field, 'A/m'),
        ],
        why: ['Colours of powder cores are each maker’s own: what a ring is made of is found by measuring it.'],
        cautions: ['Powder ages above 100 °C.'],
        next: 'Measure the inductance of ten turns, and with a pulse how it falls with the current.',
      };
    },
    formula: ['L = µ₀ µ N² h ln(OD/ID) / 2π', 'H = N I / (π (OD+ID)/2)'],
    source: 'Physics',
  },
  {
    id: 'ring',
    question: 'make',
    title: 'Inductance from a ring',
    words: 'ring resonance capacitor Q shorted turn inductance',
    fields: [
      { id: 'c', label: 'capacitor across it', unit: 'farad', usual: '10n', from: 'capacitance' },
      { id: 'f', label: 'it rings at', unit: 'hertz', usual: '65k' },
      { id: 'first', label: 'a swing', unit: 'volt', usual: '1V' },
      { id: 'last', label: 'a later one', unit: 'volt', usual: '0.25V' },
      { id: 'periods', label: 'periods between them', unit: 'count', usual: '10' },
    ],
    work: ({ n }) => {
      if (n('last') >= n('first')) return { wrong: 'A later swing is smaller than an earlier one.', field: 'last' };
      const inductance = 1 / ((2 * Math.PI * n('f')) ** 2 * n('c'));
      const decrement = Math.log(n('first') / n('last')) / n('periods');
      const quality = Math.sqrt(0.25 + (Math.PI / decrement) ** 2);
      const mark: Mark = quality < 3 ? 'reject' : quality < 10 ? 'warn' : 'ok';
      return {
        answer: `${q(inductance, 'henry')}, Q of ${quality.toFixed(quality < 10 ? 1 : 0)}`,
        more:
          quality < 3
            ? 'So dull a ring means a shorted turn, or a load that is still on it.'
            : quality < 10
              ? 'Dull: lift the loads and try again.'
              : 'It rings as a sound winding does.',
        mark,
        figures: [
          figure('inductance', 'inductance', inductance, 'henry'),
          plain('quality', 'swings above a tenth', 0.733 * quality, ''),
          figure('loss', 'resistance it acts as', (2 * Math.PI * n('f') * inductance) / quality, 'ohm'),
          figure('check', 'rings with 1 nF at', ringFrequency({ inductance, capacitance: 1e-9 }), 'hertz'),
        ],
        why: ['Each swing keeps the same share of the one before.'],
        cautions: ['The winding’s own capacitance adds to the one you fitted: with less than 1 nF it counts.'],
        next: 'Compare with a sound one of the same type, or with the inductance of its turns.',
      };
    },
    formula: ['L = 1 / ((2πf)² C)', 'δ = ln(A₀/An)/n', 'Q = √(¼ + (π/δ)²)'],
    source: 'Physics; verdicts on Q are common practice, no source',
  },
  {
    id: 'wire',
    question: 'stand',
    title: 'Current a wire carries',
    words: 'wire gauge AWG strands skin depth litz copper',
    fields: [
      { id: 'i', label: 'current, rms', unit: 'ampere', usual: '5A' },
      { id: 'f', label: 'frequency', unit: 'hertz', usual: '100k' },
      { id: 'j', label: 'amperes for each mm²', unit: 'count', usual: '5' },
      { id: 'd', label: 'strand', unit: 'metre', usual: '0.2mm' },
      { id: 'length', label: 'length', unit: 'metre', usual: '1m' },
    ],
    work: ({ n }) => {
      const { area, strands } = strandsFor({ rms: n('i'), density: n('j') * 1e6, diameter: n('d') });
      const count = Math.ceil(strands);
      const depth = skinDepth(n('f'));
      const single = 2 * Math.sqrt(area / Math.PI);
      const isThick = n('d') > 2 * depth;
      return {
        answer: count === 1 ? `One strand of ${q(n('d'), 'metre')}` : `${count} strands of ${q(n('d'), 'metre')}`,
        more: `Or one wire of ${q(single, 'metre')}, gauge ${gaugeOf(single).toFixed(0)}${single > 2 * depth ? ', too thick for this frequency' : ''}.`,
        mark: isThick ? 'warn' : 'ok',
        figures: [
          plain('area', 'copper needed', area * 1e6, 'mm²'),
          figure('depth', 'skin depth', depth, 'metre'),
          figure('thickest', 'thickest strand, few layers', 2 * depth, 'metre'),
          figure('layered', 'thickest strand, four layers and more', depth, 'metre'),
          figure(
            'resistance',
            'resistance',
            copperResistance({ length: n('length'), area: count * wireArea(n('d')) }),
            'ohm',
          ),
          figure(
            'heat',
            'heat, at least',
            n('i') ** 2 * copperResistance({ length: n('length'), area: count * wireArea(n('d')), celsius: 80 }),
            'watt',
          ),
        ],
        curve: {
          caption: 'skin depth over frequency',
          x: { label: 'frequency', unit: 'hertz' },
          y: { label: 'depth', unit: 'metre' },
          lines: [{ label: 'skin depth', points: drawn([n('f') / 5, n('f') * 3], (f) => skinDepth(f)) }],
          limits: [{ label: 'half of your strand', y: n('d') / 2 }],
          here: [n('f'), depth],
        },
        why: [
          '4 to 6 A for each mm² in a transformer, 3 to 4 in a choke without moving air; common practice, no source.',
          isThick
            ? 'The inside of so thick a strand carries nothing at this frequency.'
            : 'A strand up to twice the skin depth carries in all of it.',
        ],
        cautions: [],
        next: 'Twist the strands, and look whether they fit the window.',
      };
    },
    formula: ['A = I / J', 'δ = √(ρ / (π µ₀ f))', 'd = 0.127 · 92^((36−n)/39) mm'],
    source: 'ASTM B258 for gauges; physics',
  },
  {
    id: 'window',
    question: 'make',
    title: 'Does it fit the bobbin',
    words: 'rewinding window fill bobbin copper resistance',
    fields: [
      {
        id: 'core',
        label: 'core',
        choices: CORES.filter(({ window }) => window).map(({ name }) => name),
        usual: 'E25/13/7',
      },
      { id: 'turns', label: 'turns', unit: 'count', usual: '70' },
      { id: 'd', label: 'wire over its enamel', unit: 'metre', usual: '0.4mm' },
      { id: 'strands', label: 'strands', unit: 'count', usual: '1' },
      { id: 'share', label: 'share of the window for it', unit: 'ratio', usual: '45%' },
      { id: 'i', label: 'current, rms', unit: 'ampere', usual: '0.5A' },
    ],
    work: ({ n, t }) => {
      const core = coreOf(t('core'));
      const window = (core.window ?? 0) * n('share');
      const fill = windowFill({ turns: n('turns') * n('strands'), outerDiameter: n('d'), window });
      const bare = n('d') * 0.92;
      const resistance = copperResistance({
        length: n('turns') * (core.turnLength ?? 0),
        area: n('strands') * wireArea(bare),
      });
      const mark: Mark = fill > 0.9 ? 'reject' : fill > 0.7 ? 'warn' : 'ok';
      return {
        answer: mark === 'reject' ? 'It does not fit' : mark === 'warn' ? 'It fits only if wound with care' : 'It fits',
        more: `It fills ${q(fill, 'ratio')} of its share, and 70 % is what fits easily.`,
        mark,
        figures: [
          figure('fill', 'filled', fill, 'ratio'),
          figure('most', 'turns that fit', Math.floor((0.7 * window) / (n('d') ** 2 * n('strands'))), 'count'),
          figure('length', 'wire', n('turns') * (core.turnLength ?? 0), 'metre'),
          figure('resistance', 'resistance', resistance, 'ohm'),
          figure('heat', 'heat', n('i') ** 2 * resistance * 1.24, 'watt'),
        ],
        picture: {
          kind: 'core',
          words: {
            name: core.name,
            turns: `${n('turns')} turns`,
            window: `${((core.window ?? 0) * 1e6).toFixed(0)} mm²`,
          },
        },
        why: ['Round wire in rows leaves gaps, and tape between the layers takes its part.'],
        cautions: [],
        next: 'Wind ten turns and measure their width before you cut the wire.',
      };
    },
    formula: ['fill = N d² / Aw'],
    source: 'Bobbin values from tables of makers, from memory; limits are common practice, no source',
  },
];
