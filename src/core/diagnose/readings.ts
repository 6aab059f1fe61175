import type { CheckTest } from './words';

/** How a part was found to be. */
export type State = 'good' | 'shorted' | 'open' | 'off' | 'damaged' | 'stained' | 'unknown';

/** What was seen or measured at a part, as it was told. */
export interface Seen {
  readonly ref?: string;
  readonly rail?: string;
  readonly test?: CheckTest;
  readonly pins?: readonly string[];
  readonly value?: number;
  readonly volts?: number;
  readonly condition?: string;
  readonly text?: string;
}

const PREFIX: Readonly<Record<string, number>> = {
  p: 1e-12,
  n: 1e-9,
  u: 1e-6,
  µ: 1e-6,
  m: 1e-3,
  k: 1e3,
  M: 1e6,
  G: 1e9,
};
const NUMBER = /(?<digits>\d+(?:\.\d+)?)\s*(?<prefix>[pnuµmkMG]?)\s*(?:ohm|Ω|F\b|V\b|A\b|H\b)/gu;

function numbersIn(text: string): readonly number[] {
  return [...text.matchAll(NUMBER)].map(
    ({ groups }) => Number(groups?.['digits']) * (PREFIX[groups?.['prefix'] ?? ''] ?? 1),
  );
}

const BARE_END = /(?:^|\s)(?<digits>\d+(?:\.\d+)?)$/u;
const firstFactor = (text: string): number => PREFIX[[...text.matchAll(NUMBER)][0]?.groups?.['prefix'] ?? ''] ?? 1;

/** Said behind a number: that it is what is printed. */
const BY_RINGS = /,\s*(?<rest>\d[^,;]*?) (?:by|from) (?:its|the) (?:rings|bands|colou?rs|print)/u;

/** A number with what is due said behind it: “3.4 V; 2.5 V wanted”. */
const WANTED =
  /(?<number>\d+(?:\.\d+)?\s*[pnuµmkMG]?(?:ohm|Ω|F|V|A|H)) (?:is |was )?(?:wanted|due|expected|nominal)\b/u;

/** The number told as what it should be: “0.09 nF of 2.2 nF”, “1.9 kohm, marked 10 ohm”, “0.6 ohm; a good one 0.02 ohm”. */
function shouldBe(text: string): readonly [is: number, should: number] | undefined {
  const [is, ...rest] = numbersIn(text);
  const rings = BY_RINGS.exec(text)?.groups?.['rest'];
  const wanted = WANTED.exec(text)?.groups?.['number'];
  const other =
    (rings && `${rings} ohm`) ??
    wanted ??
    /(?:\bof\b|marked|printed|(?:a|the|its) (?:good|new|other|twin|like)|sister|should|normal|instead|against|\bfor\b|where)(?<rest>.*)$/u.exec(
      text,
    )?.groups?.['rest'];
  // “1.4 ohm; a new one 0.05” leaves the unit out.
  const bare = BARE_END.exec(other ?? '')?.groups?.['digits'];
  const [should = bare === undefined ? undefined : Number(bare) * firstFactor(text)] =
    other === undefined ? rest.slice(0, 0) : numbersIn(other);
  return is === undefined || should === undefined ? undefined : [is, should];
}

const BAD_LOOKS =
  /\b(?:split|crack|burst|explod|shatter|bulg|dom(?:e|ing)|crust|burnt|black|charr|scorch|holes?\b|blown|vent(?:ed|ing)|leak|broken|missing|ring (?:a?round)|loose|stuck|stands\b|seized|hard to turn|turns hard|caked|dusty|clogged|blocked|felt(?:ed)?\b|lint|fluff|full of|crackl|puff|fray|cook|pit\b|dark|soot|wet\b|corro|green\b|melt|swollen|lifted|torn|wrong|set to 1|115\b|brown|smell|varnish|only (?:by|when|with|if) .{0,20}push|push(?:ed)? only|pimple|blister)/u;
const DENIED = /\b(?:no|not|nothing|none|without|never)\b[^,;.]{0,20}$/u;
const GOOD_LOOKS =
  /\bgood\b|whole|flat top|dry foot|clean|shiny|turns|fine\b|nothing to see|no mark|intact|as new|undamaged|healthy|\bok\b|firm|tight/u;
const PLAIN_BAD =
  /short(?:ed)?\b|punched|leaky|dried|dead|gone|never|nothing|no (?:reading|output|signal|volt)|drops out|open circuit|far (?:off|under|down)|too (?:high|low)|unstable|jumps|wanders|not conducting|(?:does|do|did)(?: not|n't) (?:pull|regulate|react|act|fire|sink|oscillate|switch)/u;
const PLAIN_GOOD =
  /as marked|as a good|as (?:it )?should|as new|alike|the same|past|rises|normal|good\b|\bnew\b|within|fine\b|\bok\b|beeps|healthy|nothing wrong/u;

const BARE_FARADS = /^\d+(?:\.\d+)?\s*[pnuµm]?F$/u;

/** Ohms under which a part that should block is shorted; and over which one that should conduct is open. */
export const SHORT_OHMS = 5;
/** The same across the supply of a chip. */
export const CHIP_SHORT_OHMS = 300;
const ESR = { small: 3, any: 1 };
/** Ohms of ESR over which a can of so many farads and more is dry; common practice, no source. */
const ESR_BY_SIZE = [
  [470e-6, 0.5],
  [100e-6, 1],
  [22e-6, 3],
] as const;

/** Ohms of ESR of an output can of unknown size: sure to be well, and surely dry; common practice, no source. */
const ESR_AT_OUTPUT = { well: 0.3, dry: 0.5 };
/** Amperes of an output from which its cans are large. */
const STRONG_OUTPUT = 1;

/** How an output can is by its ESR, where its size was not told: those of a strong output are large. */
export function outputCanOf(seen: Seen, read: State, mostAmps: number | undefined): State {
  const ohms = seen.value ?? numbersIn(seen.text ?? '')[0];
  const isSized = seen.value === undefined && faradsIn(seen.text) !== undefined;
  if (seen.test !== 'esr' || isSized || ohms === undefined || (mostAmps ?? 0) < STRONG_OUTPUT) return read;
  return ohms > ESR_AT_OUTPUT.dry ? 'off' : ohms > ESR_AT_OUTPUT.well ? 'unknown' : read;
}

/** Farads under which a capacitor is no can. */
const FILM_BELOW = 0.9e-6;

/** How far volts are off for a part to be bad. */
const VOLTS_OFF = 0.1;

const bySize = (of: readonly [number, number], test: CheckTest | undefined): State => {
  const ratio = of[0] / of[1];
  if (test === 'voltage-dc') return Math.abs(ratio - 1) > VOLTS_OFF ? 'off' : 'good';
  if (test === 'esr') return ratio > 3 ? 'off' : 'good';
  // A film capacitor holds its value; a can may have a fifth and more less when new.
  if (ratio < (test === 'capacitance' && of[1] < FILM_BELOW ? 0.85 : 0.72)) return 'off';
  return ratio > (test === 'resistance' ? 1.3 : 1.6) ? (ratio > 20 ? 'open' : 'off') : 'good';
};

/** A value of a part and what it reads, told in one clause: “the 470n reads 150n”, “0.22 ohm under the FET reads 40 ohm”. */
const SAID_AND_READ =
  /(?<said>\d+(?:\.\d+)?) ?(?<saidBy>[pnuµmk]?)(?:ohms?|r|f)?\b[^,;]*?\b(?:reads?|measures?|shows?|has|is|gives?)(?: only| about| down to| now)* (?<read>\d+(?:\.\d+)?) ?(?<readBy>[pnuµmk]?)(?:ohms?|r|f)?\b/u;
const READ_OF =
  /(?<read>\d+(?:\.\d+)?) ?(?<readBy>[pnuµmk]?)(?:ohms?|r|f)?,? (?:left )?(?:of|instead of|where|for|says|marked|should be|should read|printed) (?<said>\d+(?:\.\d+)?) ?(?<saidBy>[pnuµmk]?)/u;

/** What a part reads as a share of what it should, where a clause in lower case tells both. */
export function ratioSaid(clause: string): number | undefined {
  const found = (READ_OF.exec(clause) ?? SAID_AND_READ.exec(clause))?.groups;
  if (!found || /\d ?v\b/u.test(clause)) return undefined;
  const [readBy, saidBy] = [found['readBy'] || found['saidBy'], found['saidBy'] || found['readBy']];
  const value = (digits: string | undefined, by: string | undefined) => Number(digits) * (PREFIX[by ?? ''] ?? 1);
  const said = value(found['said'], saidBy);
  return said > 0 ? value(found['read'], readBy) / said : undefined;
}
/** Whether a share of its value is far from what a part should have. */
export const isOffBy = (ratio: number): boolean => ratio < 0.72 || ratio > 1.6;

/** Whether a person saw nothing at all: the part is good, or is not there. */
export const isNothing = (text: string | undefined): boolean => /no difference seen/iu.test(text ?? '');

/** What a person tells of a reference that the board does not have. */
export const NO_SUCH_PART = 'no such part';
/** Whether a person said that there is no such part. */
export const isMissing = (text: string | undefined): boolean => text === NO_SUCH_PART;

/** Farads that a reading says a capacitor should have, or has. */
export function faradsIn(text: string | undefined): number | undefined {
  const found = [...(text ?? '').matchAll(/(?<digits>\d+(?:\.\d+)?)\s*(?<prefix>[pnuµm]?)F\b/gu)].map(
    ({ groups }) => Number(groups?.['digits']) * (PREFIX[groups?.['prefix'] ?? ''] ?? 1),
  );
  return found.length === 0 ? undefined : Math.max(...found);
}

const OHM_PREFIX: Readonly<Record<string, number>> = { k: 1e3, K: 1e3, M: 1e6, m: 1e-3 };

/** Ohms that a resistor is marked with, else what it reads; nothing where neither is told. */
export function ohmsIn(text: string | undefined): number | undefined {
  const found = [
    ...(text ?? '').matchAll(/(?<before>marked |of )?(?<digits>\d+(?:\.\d+)?)\s*(?<prefix>[kKMm]?)(?:ohms?\b|Ω)/giu),
  ];
  const told = found.find(({ groups }) => groups?.['before']) ?? found[0];
  return told && Number(told.groups?.['digits']) * (OHM_PREFIX[told.groups?.['prefix'] ?? ''] ?? 1);
}

/** Whether the words before turn what follows round: “no crack”, “nothing burnt”. */
export const isDenied = (before: string): boolean => DENIED.test(before);

/** How a part looks, by the first word that says it. */
function looks(told: string): State {
  // Dust stops what turns; on all else it lies.
  const bad = BAD_LOOKS.exec(/\bgood\b|whole/u.test(told) ? told.replace('dusty', '') : told);
  if (bad && !isDenied(told.slice(0, bad.index))) return 'damaged';
  return bad || GOOD_LOOKS.test(told) ? 'good' : 'unknown';
}

/** Readings from the worst to the best. */
const WORST: readonly State[] = ['shorted', 'off', 'open', 'damaged', 'good'];

/** Said beside a reading: that a good part of its kind reads open. */
const OPEN_WHEN_GOOD = /\b(?:a|the|its) (?:good|new|other|twin|sister)(?: one)?(?: reads?| is)? (?:ol\b|open)/u;
/** A rectifier that conducts both ways, though one way harder. */
const LEAKS_BACK = /v one way, (?<back>[01]\.\d+)(?: ?v)? the other/u;
/** A chip that is fed and gives nothing: no reference, no drive. */
const MUTE =
  /\b(?:[5-9]|[12]\d)(?:\.\d+)? ?v\b.*\b(?:reference|ref|outputs?|gate|drive|switch)(?: pin)?s?(?: at| is)? 0(?:\.\d+)? ?v\b/u;
/** A reading that does not stay. */
const UNSTEADY = /\bjumps\b|\bdrifts\b|\bunstable\b|\bwanders\b|comes and goes|when (?:warmed|heated|pressed)/u;
/** Volts at which a shunt reference is told to act; its own are 2.5 V (TL431 datasheets; 1.24 V of the low-volt kind). */
const ACTS_AT = /\b(?:down|conducts|acts|turns on) at (?<volts>\d+(?:\.\d+)?) ?v on its ref/u;
const REFERENCES = [2.5, 1.24];

/**
 * How a part was found to be, out of what a person told of a test: the reading first, then what it means.
 * @param blocks whether the part blocks when it is good, as a rectifier or a capacitor does, so that few ohms are a short
 */
export function stateOf({ ref, test, text, value, condition, pins }: Seen, blocks: boolean): State {
  const shortOhms = /^(?:U|IC)\d/u.test(ref ?? '') ? CHIP_SHORT_OHMS : SHORT_OHMS;
  if (condition !== undefined) {
    const word = condition.toLowerCase();
    if (/^(?:good|fine|ok)$/u.test(word)) return 'good';
    if (/short/u.test(word)) return 'shorted';
    if (/open|blown|missing/u.test(word)) return 'open';
    return /discolou?red|stain|dirty|dust|warm|brown/u.test(word) ? 'stained' : 'damaged';
  }
  if (text === undefined) {
    if (value === undefined) return 'unknown';
    if (test === 'diode-mode') return value < 0.08 ? 'shorted' : value < 2.2 ? 'good' : 'open';
    if (test === 'resistance' || test === 'continuity')
      return blocks && value < shortOhms ? 'shorted' : !blocks && value > 1e6 ? 'open' : 'unknown';
    if (test === 'esr') return value > ESR.small ? 'off' : value > ESR.any ? 'unknown' : 'good';
    return 'unknown';
  }
  // Several readings of one part: the worst counts.
  const readings = text.split(/;\s*/u).filter((one) => test === 'diode-mode' && /^(?:\d|ol\b)/iu.test(one));
  if (readings.length > 1) {
    const states = readings.map((one) => stateOf({ test: 'diode-mode', text: one }, blocks));
    return WORST.find((state) => states.includes(state)) ?? 'unknown';
  }
  const told = text.toLowerCase().trim();
  if (told === '' || isMissing(told) || /not (?:measured|reach)/u.test(told)) return 'unknown';
  if (/no difference seen|nothing (?:unusual|to see)/u.test(told)) return 'good';
  if (/^good\b/u.test(told)) return 'good';
  if (test === 'visual') return looks(told);
  // What is told of a part without a test is what was seen, or else a reading.
  if (test === undefined && looks(told) !== 'unknown') return looks(told);
  if (/\bshort(?:ed)?\b/u.test(told) && !/no short|not short/u.test(told)) return 'shorted';
  if (/punched/u.test(told)) return 'shorted';
  if (/^(?:ol|open)\b/u.test(told) && !blocks && test !== 'diode-mode') return 'open';
  if (OPEN_WHEN_GOOD.test(told) && /^\d/u.test(told)) return 'off';
  const acts = ACTS_AT.exec(told)?.groups?.['volts'];
  if (acts !== undefined) return REFERENCES.some((own) => Math.abs(Number(acts) - own) < 0.1 * own) ? 'good' : 'off';
  const compared = shouldBe(text);
  if (compared) {
    const sized = bySize(compared, test);
    if (
      test === 'voltage-dc'
        ? WANTED.test(text)
        : sized !== 'good' || test === 'capacitance' || test === 'resistance' || test === 'esr'
    )
      return sized;
  }
  if (/should be (?:ol|open)/u.test(told)) return 'shorted';
  if (/as marked|as a good|as printed|as it should|as new|alike|the same|like new/u.test(told)) return 'good';
  if (test === 'diode-mode') {
    if (LEAKS_BACK.test(told) || UNSTEADY.test(told)) return 'off';
    if (/one way, (?:ol|open)|one way,? and (?:ol|open)|(?:v|volts?) one way/u.test(told))
      return /both ways/u.test(told) && !/alike|all/u.test(told) ? 'unknown' : 'good';
    if (/(?:ol|open) both|both ways (?:ol|open)/u.test(told))
      return /tells nothing|says little/u.test(told) ? 'unknown' : 'open';
    if (/\bopen$|(?:is|are|leds?|many|some) open|one .{0,12}open|ol at|^[a-z].*\bol$/u.test(told)) return 'open';
    const bare = /^\d+(?:\.\d+)?(?= (?:both|one) way)/u.exec(told)?.[0];
    const first = numbersIn(text)[0] ?? (bare === undefined ? undefined : Number(bare));
    if (first !== undefined && first < 0.08) return 'shorted';
    // A junction conducts one way only.
    if (first !== undefined && first < 2.2) return /^\d\S* ?v? both ways/u.test(told) ? 'off' : 'good';
    return /^ol\b/u.test(told) ? ((pins?.length ?? 0) > 0 ? 'unknown' : 'open') : 'unknown';
  }
  if (test === 'resistance' || test === 'continuity') {
    if (
      /nothing comes through|(?:^|stays )(?:ol|open)\b.{0,12}\b(?:with|while|though)\b.{0,30}(?:led|ma\b|lit|driven|current)/u.test(
        told,
      )
    )
      return 'off';
    if (/^(?:ol|open)\b/u.test(told)) return blocks ? 'good' : 'open';
    if (/rises|climbs|past /u.test(told)) return 'good';
    if (
      /drops out|jumps|crackles|cuts|breaks|no beep|does not beep|interrupt|comes and goes|on and off|opens when|flickers/u.test(
        told,
      )
    )
      return 'open';
    if (/beeps/u.test(told)) return 'good';
    const [first] = numbersIn(text);
    if (first === undefined) return PLAIN_BAD.test(told) ? 'off' : PLAIN_GOOD.test(told) ? 'good' : 'unknown';
    if (blocks && first < shortOhms) return 'shorted';
    return PLAIN_BAD.test(told) ? 'off' : 'good';
  }
  // What falls short is told with what it should be.
  if (test === 'capacitance' && BARE_FARADS.test(text.trim())) return 'good';
  if (test === 'esr') {
    const [first] = numbersIn(text);
    if (/\bnew\b(?! one)|good|fine|low/u.test(told)) return 'good';
    if (/high|dry/u.test(told)) return 'off';
    const farads = faradsIn(text) ?? 0;
    const [, most] = ESR_BY_SIZE.find(([from]) => farads >= from) ?? [];
    if (first !== undefined && most !== undefined) return first > most ? 'off' : 'good';
    return first === undefined ? 'unknown' : first > ESR.small ? 'off' : first <= ESR.any ? 'good' : 'unknown';
  }
  if (PLAIN_BAD.test(told) || (test === 'voltage-dc' && MUTE.test(told))) return 'off';
  return PLAIN_GOOD.test(told) ? 'good' : 'unknown';
}

/** Whether a rail, or what is said of one, is that of a standby supply; purple is its wire in a computer's supply (ATX12V design guide). */
export const isStandbyRail = (told: string): boolean => /stand.?by|purple (?:wire|lead)|5 ?v ?sb\b/iu.test(told);

/** The first volts that a text tells. */
export const firstVolts = (text: string): number | undefined => {
  const found = /(?<volts>-?\d+(?:\.\d+)?)\s*(?<milli>m?)V\b/u.exec(text)?.groups;
  return found ? Number(found['volts']) * (found['milli'] ? 1e-3 : 1) : undefined;
};

/** Volts a rail should have by its name: “5V standby”, “12 V”. */
export const nominalOf = (rail: string): number | undefined => {
  const found = /(?<volts>\d+(?:\.\d+)?)\s*v/iu.exec(rail)?.groups?.['volts'];
  return found === undefined ? undefined : Number(found);
};
