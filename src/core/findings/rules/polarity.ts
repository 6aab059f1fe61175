import type { BoardPart } from '../../board';
import type { RectifierElement } from '../../topology';
import { dutiesOf } from '../duties';
import type { Evidence, FindingRule } from '../finding';

/** Below this the rest of the board says too little to call a part turned round. */
const SURE = 0.65;

/** A capacitor or rectifier that the rest of its rail speaks against, and how strongly. */
interface Accusation {
  readonly part: BoardPart;
  readonly rails: readonly [number, number];
  readonly sure: number;
  readonly because: string;
}

function accusedCapacitors({ model, levels }: Evidence): readonly Accusation[] {
  return model.elements.capacitors.flatMap(({ part, polarised, a, b }) => {
    const sure = polarised && '+' in part.pins ? levels.compare(b, a, [part]) : 0;
    return sure >= SURE ? [{ part, rails: [a, b] as const, sure, because: '' }] : [];
  });
}

function accusedDiodes(evidence: Evidence): readonly Accusation[] {
  const { levels } = evidence;
  const blamed = new Map<BoardPart, Accusation>();
  const cleared = new Set<BoardPart>();
  for (const { element, high, low, cathode, because, isCertain } of dutiesOf(evidence)) {
    const { part, to } = element;
    if (part.kind === 'bridge' || element.isBody || isAcrossSwitch(element, evidence)) continue;
    const sure = isCertain ? CERTAIN : levels.compare(high, low, [part]);
    if (Math.abs(sure) < SURE) continue;
    const isRight = sure > 0 ? to === cathode : to !== cathode;
    if (isRight) cleared.add(part);
    else blamed.set(part, { part, rails: [high, low], sure: Math.abs(sure), because });
  }
  return [...blamed.values()].filter(({ part }) => !cleared.has(part));
}

const CERTAIN = 9;

/** Where two parts accuse each other, only the one that more speaks against is turned round. */
const withoutRivals = (own: readonly Accusation[], rivals: readonly Accusation[], onTie: boolean) =>
  own.filter(
    ({ rails, sure }) =>
      !rivals.some(
        (rival) =>
          rival.rails.every((rail) => rails.includes(rail)) && (rival.sure > sure || (rival.sure === sure && !onTie)),
      ),
  );

export const reversedPolarity: FindingRule = {
  rule: 'reversed-polarity',
  severity: 'danger',
  source: 'the other parts on the rail say which end is higher',
  check: (evidence) =>
    withoutRivals(accusedCapacitors(evidence), accusedDiodes(evidence), true).map(({ part }) => ({
      parts: [part],
      message: `${part.ref} sits the wrong way round: its minus end is on the higher rail by what the other parts there say.`,
      advice: 'It vents or bursts under power. Take it out, and look whether the board print or your trace is wrong.',
    })),
};

export const reversedBridge: FindingRule = {
  rule: 'reversed-bridge',
  severity: 'danger',
  source: 'the other parts on the rail say which end is higher',
  check: ({ model: { board, rails, held }, levels }) =>
    board.parts
      .filter(({ kind, fitted }) => kind === 'bridge' && fitted !== false)
      .filter((part) => {
        const at = (pin: string) => rails.at(part, pin);
        const isAc = (rail: number) => held.mains.has(rail) || held.lineSecondary.has(rail) || held.dropped.has(rail);
        const isDc = (rail: number) => held.isHeld(rail) && !isAc(rail);
        const isSwapped = (isAc(at('+')) || isAc(at('-'))) && (isDc(at('AC1')) || isDc(at('AC2')));
        return isSwapped || levels.compare(at('-'), at('+'), [part]) >= SURE;
      })
      .map((part) => ({
        parts: [part],
        message: `${part.ref} is turned round: what is on its + and − pins does not fit their signs.`,
        advice:
          'Under power it shorts what it should rectify. Check the marking on the part and your trace before anything else.',
      })),
};

export const reversedDiode: FindingRule = {
  rule: 'reversed-diode',
  severity: 'danger',
  source: 'the direction follows from the duty of the diode in its stage: textbook, from memory',
  check: (evidence) =>
    withoutRivals(accusedDiodes(evidence), accusedCapacitors(evidence), false).map(({ part, because }) => ({
      parts: [part],
      message: `${part.ref} can never conduct where it sits: ${because}.`,
      advice: 'Compare the ring on the body with the board print; a reversed rectifier means no output, or a short.',
    })),
};

/** A diode that stands beside a transistor carries what the transistor may not: either way it has its sense. */
const isAcrossSwitch = ({ part, from, to }: RectifierElement, { model, stages }: Evidence) =>
  model.elements.switches.some(
    (element) =>
      element.part !== part &&
      element.part.kind !== 'scr' &&
      !stages.some(({ switches }) => switches.includes(element.part)) &&
      element.hi === to &&
      element.lo === from,
  );
