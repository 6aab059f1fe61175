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
export type SoakOutcome = 'held' | 'dipped' | 'went-off';

/** A case hotter than this cannot be held; IEC 62368-1 gives limits of this order (from memory). */
const TOO_HOT = 70;
/** The output counts as dipping when it falls by this share, and as off below that. */
const DIP = practice(0.03);
const OFF = 0.5;
/** Input power that grows by this share at one load speaks of losses that grow. */
const POWER_CREEP = practice(0.15);

/**
 * What a run under load suggests: whether the case still warms, where it will end, how far above the
 * room it sits, whether the output dips after a while, and the efficiency where input and load are known.
 * @param of room temperature in degrees Celsius, for which the first reading stands in when missing; the
 * least efficiency that its mark promises; the stated output in watts
 */
export function judgeSoak(
  rows: readonly SoakRow[],
  of: { ambient?: number; leastEfficiency?: number; statedPower?: number } = {},
): SoakJudgement {
  const inOrder = [...rows].sort((a, b) => a.time - b.time);
  const temperatures = inOrder.filter((row): row is SoakRow & { celsius: number } => row.celsius !== undefined);
  const warming = fitWarming(temperatures, of.ambient);
  const dipAt = firstDip(inOrder);
  const efficiency = meanEfficiency(inOrder);
  return {
    ...(warming ? { warming } : {}),
    ...(efficiency === undefined ? {} : { efficiency }),
    ...(dipAt === undefined ? {} : { dipAt: dipAt.time }),
    ...outcomeOf(inOrder, dipAt),
    findings: [
      ...warmingFindings(warming, temperatures),
      ...dipFindings(dipAt, inOrder),
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

function dipFindings(dip: { time: number; share: number } | undefined, rows: readonly SoakRow[]): SoakFinding[] {
  const read = rows.filter(({ volts }) => volts !== undefined);
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
