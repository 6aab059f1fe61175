import { practice } from '../evidence';
import type { SoakOutcome } from '../soak';
import { SYMPTOMS, UNIT_KINDS, type SymptomName, type UnitKindName } from '../unit';

export const OPTIONS = ['repair', 'harvest', 'study', 'leave'] as const;
export type Option = (typeof OPTIONS)[number];
export const OPTION_LABEL: Readonly<Record<Option, string>> = {
  repair: 'repair it',
  harvest: 'harvest it',
  study: 'study it and put it back',
  leave: 'leave it whole',
};

export const FACTORS = ['symptom', 'hazard', 'yield', 'needs', 'effort'] as const;
export type Factor = (typeof FACTORS)[number];
export const FACTOR_LABEL: Readonly<Record<Factor, string>> = {
  symptom: 'what is wrong with it',
  hazard: 'what can hurt',
  yield: 'what it should give',
  needs: 'what builds wait for',
  effort: 'how long it takes',
};

/** How much each factor counts, 0 to 5. */
export type Weights = Readonly<Record<Factor, number>>;
/** As shipped; a person changes them. */
export const USUAL_WEIGHTS: Weights = practice({ symptom: 3, hazard: 2, yield: 2, needs: 2, effort: 1 });

/** What is known of a unit when a person decides what to do with it. */
export interface UnitFacts {
  readonly right: { readonly may: boolean; readonly why: string };
  readonly symptom: SymptomName | '';
  /** What a run under load showed, when one was made. */
  readonly run?: { readonly outcome: SoakOutcome; readonly text: string };
  readonly kind: UnitKindName;
  readonly ratedPower?: number;
  /** Hazards that apply to it, gravest first, by their short names, with why it stays shut where one says so. */
  readonly hazards: readonly { readonly name: string; readonly grave: boolean; readonly leaveShut?: string }[];
  /** Useful parts that like donors gave on average, and how many such donors there were. */
  readonly likeDonors: { readonly parts: number; readonly donors: number };
  /** Needs of open builds that this unit, or its like, can fill. */
  readonly needs: readonly string[];
  /** Minutes to open, from like donors when known. */
  readonly minutesToOpen?: { readonly minutes: number; readonly donors: number };
}

export interface Reason {
  readonly factor: Factor;
  /** How well the option suits by this factor, 0 to 1. */
  readonly score: number;
  readonly weight: number;
  readonly text: string;
}

export interface ScoredOption {
  readonly option: Option;
  /** Weighted mean of its reasons, 0 to 1. */
  readonly score: number;
  readonly reasons: readonly Reason[];
  /** Why it is out of the question, when it is. */
  readonly excluded?: string;
}

export interface Advice {
  /** Best first; excluded ones last. */
  readonly options: readonly ScoredOption[];
  readonly best: Option;
  /** The two first lie so near each other that the weights decide. */
  readonly close: boolean;
}

type Scores = Readonly<Record<Option, number>>;
/** Closer than this the order is a matter of taste. */
const CLOSE = 0.05;
/** So many useful parts make a harvest fully worth it; so many minutes make it not. */
const FULL_YIELD = 12;
const LONG_MINUTES = 45;

/**
 * What to do with a unit: each way of going on is scored by every factor, weighted, and the reasons
 * come along. A unit that is not cleared is studied and put back, whatever the scores say.
 */
export function advise(facts: UnitFacts, weights: Weights = USUAL_WEIGHTS): Advice {
  const judged = FACTORS.map((factor) => ({ factor, ...JUDGES[factor](facts) }));
  const total = FACTORS.reduce((sum, factor) => sum + weights[factor], 0);
  const options = OPTIONS.map((option): ScoredOption => {
    const reasons = judged.map(({ factor, scores, text }) => ({
      factor,
      score: scores[option],
      weight: weights[factor],
      text,
    }));
    const excluded = exclusionOf(option, facts);
    return {
      option,
      score: total === 0 ? 0 : reasons.reduce((sum, { score, weight }) => sum + score * weight, 0) / total,
      reasons,
      ...(excluded === undefined ? {} : { excluded }),
    };
  }).sort((a, b) => Number(a.excluded !== undefined) - Number(b.excluded !== undefined) || b.score - a.score);
  const [first, second] = options;
  return {
    options,
    best: first?.option ?? 'leave',
    close: second !== undefined && second.excluded === undefined && (first?.score ?? 0) - second.score < CLOSE,
  };
}

/** Why a way of going on is out of the question: it is not cleared, or a hazard of its kind says to leave it shut. */
function exclusionOf(option: Option, { right, hazards }: UnitFacts): string | undefined {
  const shut = hazards.find(({ leaveShut }) => leaveShut !== undefined)?.leaveShut;
  if (shut !== undefined) return option === 'leave' ? undefined : shut;
  return right.may || option === 'study' ? undefined : right.why;
}

/** The symptom that a run under load amounts to. */
const RUN_SHOWS: Readonly<Record<SoakOutcome, SymptomName>> = {
  held: 'works',
  dipped: 'warm-intermittent',
  'went-off': 'warm-intermittent',
  rose: 'rail-high',
};

const JUDGES: Readonly<Record<Factor, (facts: UnitFacts) => { scores: Scores; text: string }>> = {
  symptom: ({ symptom, run }) => {
    // What it did under load goes before what is said of it.
    if (run) {
      const { suits, look } = SYMPTOMS[RUN_SHOWS[run.outcome]];
      const said = symptom === '' ? '' : ` It was said: ${SYMPTOMS[symptom].label}.`;
      return { scores: suits, text: `Under load: ${run.text}${said} ${look}` };
    }
    const { suits, label, look } = SYMPTOMS[symptom === '' ? 'unknown' : symptom];
    return {
      scores: suits,
      text: `${symptom === '' ? 'Nothing is said of what is wrong' : `It is said: ${label}`}. ${look}`,
    };
  },
  hazard: ({ hazards }) => {
    const grave = hazards.filter((hazard) => hazard.grave);
    const level = Math.min(1, grave.length * 0.5 + (hazards.length - grave.length) * 0.1);
    return {
      scores: { repair: 1 - level, harvest: 1 - 0.7 * level, study: 1 - 0.7 * level, leave: 0.5 + 0.5 * level },
      text:
        hazards.length === 0
          ? 'Nothing out of the ordinary can hurt, beyond what every mains unit holds.'
          : `Mind ${hazards.map(({ name }) => name).join(', ')}.`,
    };
  },
  yield: ({ kind, likeDonors, ratedPower }) => {
    const known = likeDonors.donors > 0;
    const parts = known ? likeDonors.parts : typicalParts(kind, ratedPower);
    const worth = Math.min(1, parts / FULL_YIELD);
    const count = `${Math.round(parts)} useful ${Math.round(parts) === 1 ? 'part' : 'parts'}`;
    return {
      scores: { repair: 0.5, harvest: worth, study: 0.3, leave: 1 - worth },
      text: known
        ? `Like donors gave ${count} on average (${likeDonors.donors} of them).`
        : `A ${UNIT_KINDS[kind].label} usually gives about ${count}; none like it was harvested here yet.`,
    };
  },
  needs: ({ needs }) => {
    const worth = Math.min(1, needs.length / 2);
    return {
      scores: { repair: 0.4, harvest: worth, study: 0.3, leave: 0.5 * (1 - worth) },
      text:
        needs.length === 0
          ? 'No open build waits for what it is likely to hold.'
          : `Open builds wait for ${needs.slice(0, 3).join(', ')}${needs.length > 3 ? ` and ${needs.length - 3} more` : ''}.`,
    };
  },
  effort: ({ kind, minutesToOpen }) => {
    const minutes = minutesToOpen?.minutes ?? UNIT_KINDS[kind].minutesToOpen;
    const ease = Math.max(0, 1 - minutes / LONG_MINUTES);
    return {
      scores: { repair: ease * 0.8, harvest: ease, study: ease * 0.9, leave: 1 },
      text: minutesToOpen
        ? `Like donors took ${Math.round(minutes)} min to open (${minutesToOpen.donors} of them).`
        : `A ${UNIT_KINDS[kind].label} usually takes about ${minutes} min to open.`,
    };
  },
};

/** Bigger units carry more that is worth taking: by the square root of the power, against 60 W. */
function typicalParts(kind: UnitKindName, power: number | undefined): number {
  const scale = power === undefined ? 1 : Math.min(2, Math.max(0.5, Math.sqrt(power / 60)));
  return UNIT_KINDS[kind].usefulParts * scale;
}
