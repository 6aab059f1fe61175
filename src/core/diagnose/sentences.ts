import { practice } from '../evidence';
import { nominalOf, type Seen } from './readings';

const OHMS_TOLD = String.raw`\d+(?:\.\d+)? ?[km]?(?:ohms?\b|Ω)`;
/** The reading follows its verb at once and ends with itself: what comes behind may be of another part. */
const TOLD_OF_PART = new RegExp(
  String.raw`\b(?<ref>(?:Q|D|R|C|L|T|U|F|BR|RV|RT|ZD|IC|MOV|NTC)\d{1,3})\b(?: (?:on|at|in|of) the \w+)? ` +
    String.raw`(?:reads?|measures?|shows?|gives?) (?:about )?(?<reading>(?:ol|open) both ways|` +
    String.raw`\d+(?:\.\d+)? ?(?:m?v )?(?:both ways|one way(?:,? (?:and )?(?:ol|open) the other)?)|` +
    String.raw`${OHMS_TOLD}(?: of ${OHMS_TOLD})?)`,
  'giu',
);

/** What may stand between, as long as it is not denied. */
const NOT_DENIED = String.raw`(?:(?!\b(?:not|never|no|nothing|still|hardly)\b|n.t\b)[^,;.])`;
const NUMBERED = String.raw`(?:Q|D|C|U|BR|RV)\d{1,3}`;
/** A numbered part with which a fault leaves: “lifting Q7 ends it”, “the short is gone with D6 out”. */
const TOLD_GUILTY = new RegExp(
  String.raw`\b(?:lifting|removing|with|without) (?<ref>${NUMBERED})\b(?: lifted| out| off| removed)?${NOT_DENIED}{0,24}\b(?:ends? it|gone|clears?|cleared|cures?|stops? (?:it|the))` +
    String.raw`|\b(?:short|hiccup|tick\w*)${NOT_DENIED}{0,16}\b(?:gone|ends?|clears?|stops?) (?:with|without) (?<out>${NUMBERED})\b`,
  'giu',
);

const VOLTS = String.raw`-?\d+(?:\.\d+)?`;
const NAMED_RAIL = String.raw`(?<!\d|\.|\bat |\bto |\bof )(?<rail>${VOLTS}) ?v(?<noun> (?:rail|line|side|output))?`;
const HAS = String.raw`(?:at|is|reads?|measures?|gives?|shows?|(?:sags?|falls?|drops?|climbs?|rises?) to|stands at|has)`;
/** The number is of volts, or stands at the end of what is told: no ohms, amperes, farads. */
const OF_VOLTS = String.raw`(?![\d.])(?= ?v\b| *$| (?:and|with|under|when|while|as|now|at)\b)`;
/** A rail and what it has, told in a sentence: “the 5 V side sags to 3.4 V”, “12 V rail dead, 5 V right”, “19 V instead of 12”. */
const TOLD_OF_RAIL: readonly RegExp[] = [
  String.raw`${NAMED_RAIL} (?:is |was |are )?(?:only |just )?${HAS}(?: only| about| just)? (?<volts>${VOLTS})${OF_VOLTS}`,
  String.raw`${NAMED_RAIL} (?:is |was |stays )?(?<gone>dead|gone|missing|away\b|not there|absent)`,
  String.raw`${NAMED_RAIL} (?:is |was |stays )?(?<right>right|fine|good|steady|present|as it should)`,
  String.raw`\boutput[^,;.]{0,12} (?<volts>${VOLTS}) ?v? instead of (?<rail>${VOLTS})(?<noun>)`,
  String.raw`(?<standby>purple(?: wire| lead)?|5 ?v ?sb|standby(?: rail| supply)?) (?:is |was )?(?:at |reads |is |sags to |only )*(?<volts>${VOLTS}) ?v\b`,
].map((says) => new RegExp(says, 'iu'));
/** Volts of a place inside, not of a rail. */
const INSIDE = /\b(?:vcc|chip|gate|pin|controller|bulk|can|bridge|reference|cathode|coil|drain)\b/iu;
/** How near a rail that is named by its volts alone must be to one of the nameplate. */
const OF_PLATE = practice(0.04);

function toldOfRails(text: string, outputs: readonly number[]): readonly Seen[] {
  const found = new Map<string, Seen>();
  for (const clause of text.split(/[,;]|\.(?!\d)/u))
    for (const says of INSIDE.test(clause) ? [] : TOLD_OF_RAIL) {
      const { rail, noun, volts, gone, right, standby } = says.exec(clause)?.groups ?? {};
      if (standby === undefined && rail === undefined) continue;
      const nominal = Number(rail ?? 5);
      const isNamed = noun !== undefined || outputs.some((own) => Math.abs(own - Math.abs(nominal)) <= OF_PLATE * own);
      if (standby === undefined && (!isNamed || nominal === 0)) continue;
      const name = standby === undefined ? `${rail ?? ''}V` : '5V standby';
      const read = gone === undefined ? (right === undefined ? Number(volts) : nominal) : 0;
      if (!found.has(name)) found.set(name, { rail: name, volts: read });
    }
  return [...found.values()];
}

/**
 * What was measured, and readings of numbered parts and of rails that were told in a sentence: “D5 on the primary reads 0.001 both
 * ways”, “the 5 V side sags to 3.4 V”.
 * @param outputs volts of the nameplate, by which a rail may be named
 */
export const withTold = (observations: readonly Seen[], outputs: readonly number[] = []): readonly Seen[] => {
  const rails = new Set(observations.flatMap(({ rail }) => (rail === undefined ? [] : [nominalOf(rail)])));
  return observations.flatMap((seen) =>
    seen.ref !== undefined || seen.rail !== undefined
      ? [seen]
      : [
          seen,
          ...[...(seen.text ?? '').matchAll(TOLD_OF_PART)].map(({ groups }): Seen => {
            const text = groups?.['reading'] ?? '';
            return {
              ref: (groups?.['ref'] ?? '').toUpperCase(),
              test: /\bway/iu.test(text) ? 'diode-mode' : 'resistance',
              text,
            };
          }),
          ...[...(seen.text ?? '').matchAll(TOLD_GUILTY)].map(({ groups }): Seen => ({
            ref: (groups?.['ref'] ?? groups?.['out'] ?? '').toUpperCase(),
            condition: 'shorted',
          })),
          ...toldOfRails(seen.text ?? '', outputs).filter(({ rail }) => !rails.has(nominalOf(rail ?? ''))),
        ],
  );
};
