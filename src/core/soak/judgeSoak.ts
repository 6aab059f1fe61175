import { practice } from '../evidence';
import { formatDuration, formatQuantity } from '../quantity';
import { fitWarming, type Warming } from './fitWarming';

/** One row of a run under load: seconds since it was switched on; what was not read is left out. */
export interface SoakRow {
  readonly time: number;
  readonly watts?: number;
  /** Case temperature in degrees Celsius. */
  readonly celsius?: number;
  readonly volts?: number;
  /** Load in amperes. */
  readonly load?: number;
}

export interface SoakFinding {
  readonly severity: 'ok' | 'note' | 'warn' | 'danger';
  readonly text: string;
}

export interface SoakJudgement {
  readonly warming?: Warming;
  /** Output over input power, mean of the rows that give both. */
  readonly efficiency?: number;
  /** Seconds at which the output first fell off. */
  readonly dipAt?: number;
  readonly findings: readonly SoakFinding[];
  /** What the output did; missing while it was read once or never, or too shortly to tell. */
  readonly outcome?: SoakOutcome;
}

/** What the output of a run did under load. */
export type SoakOutcome = 'held' | 'dipped' | 'went-off' | 'rose';

/** A case hotter than this cannot be held; IEC 62368-1 gives limits of this order (from memory). */
const TOO_HOT = 70;
/** The output counts as dipping when it falls by this share, and as off below that. */
const DIP = practice(0.03);
const OFF = 0.5;
/** An output that climbs by this share at no smaller load is out of control: supplies are made to ±5 %. */
const RISE = practice(0.05);
/** More load takes an output down by less than this, leads included. */
const SAG = practice(0.05);
/** Input power that grows by this share at one load speaks of losses that grow. */
const POWER_CREEP = practice(0.15);

/**
 * What a run under load suggests: whether the case still warms, where it will end, how far above the
 * room it sits, whether the output dips after a while, and the efficiency where input and load are known.
 * @param of room temperature in degrees Celsius, for which the first reading stands in when missing; the
 * least efficiency that its mark promises; the stated output in watts; the stated voltage of its only output
 */
export function judgeSoak(
  rows: readonly SoakRow[],
  of: { ambient?: number; leastEfficiency?: number; statedPower?: number; nominal?: number } = {},
): SoakJudgement {
  const inOrder = [...rows].sort((a, b) => a.time - b.time);
  const temperatures = inOrder.filter((row): row is SoakRow & { celsius: number } => row.celsius !== undefined);
  const warming = fitWarming(temperatures, of.ambient);
  const dipAt = firstDip(inOrder);
  const risen = rise(inOrder, of.nominal);
  const sag = sagUnderLoad(inOrder);
  const efficiency = meanEfficiency(inOrder);
  return {
    ...(warming ? { warming } : {}),
    ...(efficiency === undefined ? {} : { efficiency }),
    ...(dipAt === undefined ? {} : { dipAt: dipAt.time }),
    ...(risen ? { outcome: 'rose' as const } : outcomeOf(inOrder, dipAt ?? (sag && { time: 0, share: sag.share }))),
    findings: [
      ...warmingFindings(warming, temperatures),
      ...(risen ? riseFindings(risen) : dipFindings(dipAt, sag, inOrder)),
      ...powerFindings(inOrder, efficiency, of.leastEfficiency),
      ...statedFinding(inOrder, efficiency, of.statedPower),
    ],
  };
}

function warmingFindings(warming: Warming | undefined, rows: readonly { celsius: number }[]): SoakFinding[] {
  const findings: SoakFinding[] = [];
  const hottest = Math.max(-Infinity, ...rows.map(({ celsius }) => celsius));
  if (hottest > TOO_HOT)
    findings.push({
      severity: 'warn',
      text: `The case reached ${degrees(hottest)}: too hot to hold. Give it air or less load.`,
    });
  if (!warming) {
    if (rows.length > 0)
      findings.push({ severity: 'note', text: 'Three temperatures some minutes apart tell whether it still warms.' });
    return findings;
  }
  if (warming.state === 'steady')
    findings.push({
      severity: 'ok',
      text: `Steady at ${degrees(warming.last)}, ${Math.round(warming.rise)} K above the room.`,
    });
  else if (warming.state === 'falling')
    findings.push({ severity: 'note', text: `Cooling: ${degrees(warming.last)} and falling. Did the load stop?` });
  else
    findings.push({
      severity: 'note',
      text: `Still rising by ${warming.perMinute.toFixed(1)} K a minute at ${degrees(warming.last)}${
        warming.end === undefined
          ? '; too early to say where it ends.'
          : `; by the curve so far it ends near ${degrees(warming.end)}, with a time constant of ${formatDuration(warming.timeConstant ?? 0)}.`
      }`,
    });
  return findings;
}

function firstDip(rows: readonly SoakRow[]): { time: number; share: number } | undefined {
  const read = rows.filter((row): row is SoakRow & { volts: number } => row.volts !== undefined);
  const first = read[0];
  if (!first || first.volts <= 0) return undefined;
  const dip = read.find(
    ({ volts, load }) => volts < first.volts * (1 - DIP) && (load ?? 0) <= (first.load ?? Infinity) * 1.1,
  );
  return dip && { time: dip.time - first.time, share: 1 - dip.volts / first.volts };
}

interface Risen {
  /** Seconds since the first reading. */
  readonly after: number;
  readonly volts: number;
  readonly from: number;
  /** It is the stated voltage that it lies above. */
  readonly isStated: boolean;
}

/** An output that climbs at no smaller load, or stands above what is stated: the worst a supply can do to a load. */
function rise(rows: readonly SoakRow[], nominal: number | undefined): Risen | undefined {
  const read = rows.filter((row): row is SoakRow & { volts: number } => row.volts !== undefined);
  const [first] = read;
  if (!first || first.volts <= 0) return undefined;
  const above = read.find(
    ({ volts, load, time }) =>
      time > first.time &&
      volts > first.volts * (1 + RISE) &&
      (load === undefined || first.load === undefined || load >= first.load * 0.9),
  );
  if (above) return { after: above.time - first.time, volts: above.volts, from: first.volts, isStated: false };
  // Without a load a plain transformer stands far above its plate, and so it is made.
  const stated = read.find(
    ({ volts, load }) => nominal !== undefined && (load ?? 0) > 0 && volts > nominal * (1 + 2 * RISE),
  );
  return stated && { after: stated.time - first.time, volts: stated.volts, from: nominal ?? 0, isStated: true };
}

const riseFindings = ({ after, volts, from, isStated }: Risen): SoakFinding[] => [
  {
    severity: 'danger',
    text: `${isStated ? `The output stands at ${formatQuantity(volts, 'volt')} where ${formatQuantity(from, 'volt')} is stated` : `The output rose from ${formatQuantity(from, 'volt')} to ${formatQuantity(volts, 'volt')} after ${formatDuration(after)}`}: switch it off. Its feedback is open or failing, and what is connected to it dies. Connect nothing to it until the optocoupler, the reference and its divider are proved.`,
  },
];

/** How far a larger load takes the output down, when that is more than a supply allows. */
function sagUnderLoad(rows: readonly SoakRow[]): { share: number; from: number; to: number } | undefined {
  const read = rows.filter((row): row is SoakRow & { volts: number } => row.volts !== undefined);
  const [first] = read;
  if (!first || first.volts <= 0) return undefined;
  const loaded = read.find(
    ({ volts, load }) => (load ?? 0) > (first.load ?? 0) * 1.1 && volts < first.volts * (1 - SAG),
  );
  return loaded && { share: 1 - loaded.volts / first.volts, from: first.volts, to: loaded.volts };
}

/** A run that held for less than this does not show that a unit works. */
const LONG_ENOUGH = practice(600);

function outcomeOf(
  rows: readonly SoakRow[],
  dip: { time: number; share: number } | undefined,
): { outcome: SoakOutcome } | undefined {
  if (dip) return { outcome: dip.share >= OFF ? 'went-off' : 'dipped' };
  const read = rows.filter(({ volts, load }) => volts !== undefined && load !== undefined && load > 0);
  const lasted = (read.at(-1)?.time ?? 0) - (read[0]?.time ?? 0);
  return lasted >= LONG_ENOUGH ? { outcome: 'held' } : undefined;
}

function dipFindings(
  dip: { time: number; share: number } | undefined,
  sag: { share: number; from: number; to: number } | undefined,
  rows: readonly SoakRow[],
): SoakFinding[] {
  const read = rows.filter(({ volts }) => volts !== undefined);
  if (!dip && sag)
    return [
      {
        severity: 'warn',
        text: `The output sags by ${(sag.share * 100).toFixed(0)} % under load, from ${formatQuantity(sag.from, 'volt', { digits: 3 })} to ${formatQuantity(sag.to, 'volt', { digits: 3 })}: a supply keeps within 5 %. Read it at its own connector first; then look at output capacitors, rectifier and cable.`,
      },
    ];
  if (!dip) return read.length < 2 ? [] : [{ severity: 'ok', text: 'The output held through the run.' }];
  const after = formatDuration(dip.time);
  if (dip.share >= OFF)
    return [
      {
        severity: 'warn',
        text: `It went off after ${after}: thermal cut-out, a cracked joint, or a supply capacitor that dries out as it warms.`,
      },
    ];
  return [
    {
      severity: 'warn',
      text: `The output dips by ${(dip.share * 100).toFixed(0)} % after ${after} at the same load: drying capacitors are likely. Read their ESR warm and cold.`,
    },
  ];
}

function meanEfficiency(rows: readonly SoakRow[]): number | undefined {
  const shares = rows.flatMap(({ watts, volts, load }) =>
    watts && volts !== undefined && load ? [(volts * load) / watts] : [],
  );
  return shares.length === 0 ? undefined : shares.reduce((sum, share) => sum + share, 0) / shares.length;
}

function powerFindings(
  rows: readonly SoakRow[],
  efficiency: number | undefined,
  least: number | undefined,
): SoakFinding[] {
  const findings: SoakFinding[] = [];
  const powered = rows.filter((row): row is SoakRow & { watts: number } => row.watts !== undefined);
  const [first] = powered;
  const last = powered.at(-1);
  const sameLoad = first && last && (first.load ?? 0) === (last.load ?? 0);
  if (first && last && sameLoad && first.watts > 0 && last.watts > first.watts * (1 + POWER_CREEP))
    findings.push({
      severity: 'warn',
      text: `The input rose from ${formatQuantity(first.watts, 'watt')} to ${formatQuantity(last.watts, 'watt')} at the same load: losses grow as it warms.`,
    });
  if (efficiency === undefined) return findings;
  const percent = `${(efficiency * 100).toFixed(1)} %`;
  if (efficiency > 0.98)
    findings.push({
      severity: 'warn',
      text: `${percent} efficiency cannot be: check the watt meter, the load current and the rail.`,
    });
  else if (least !== undefined && efficiency < least - 0.02)
    findings.push({
      severity: 'warn',
      text: `${percent} measured, ${(least * 100).toFixed(1)} % or more expected: it wastes more than it should.`,
    });
  else
    findings.push({
      severity: 'ok',
      text: `${percent} efficiency measured${least === undefined ? '' : `, ${(least * 100).toFixed(1)} % expected at least`}.`,
    });
  return findings;
}

/** Input measured, output only stated: what the efficiency would be at full load. */
function statedFinding(
  rows: readonly SoakRow[],
  measured: number | undefined,
  stated: number | undefined,
): SoakFinding[] {
  const most = Math.max(0, ...rows.map(({ watts }) => watts ?? 0));
  if (measured !== undefined || stated === undefined || most === 0) return [];
  const share = stated / most;
  const text = `${formatQuantity(most, 'watt')} went in at most. If the stated ${formatQuantity(stated, 'watt')} came out, that is ${(share * 100).toFixed(0)} %`;
  return share > 1
    ? [{ severity: 'note', text: `${text}: it was not at full load, or it does not give what is stated.` }]
    : [{ severity: 'note', text: `${text} efficiency; read output and load to be sure.` }];
}

const degrees = (celsius: number) => `${Math.round(celsius)} °C`;
