import type { BoardPart } from '../../board';
import type { FoundStage, RectifierElement } from '../../topology';
import { pairedRail, secondaryWindings, windingDuties, type Duty } from '../windingDuties';
import type { Evidence, FindingRule, FoundFault } from '../finding';

/** Below this the rest of the board says too little to call a part turned round. */
const SURE = 0.9;

export const reversedPolarity: FindingRule = {
  rule: 'reversed-polarity',
  severity: 'danger',
  source: 'the other parts on the rail say which end is higher',
  check: ({ model, levels }) =>
    model.elements.capacitors
      .filter(({ part, polarised, a, b }) => polarised && '+' in part.pins && levels.compare(b, a, [part]) >= SURE)
      .map(({ part }) => ({
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
  check(evidence) {
    const { levels } = evidence;
    const blamed = new Map<BoardPart, FoundFault>();
    const cleared = new Set<BoardPart>();
    for (const { element, high, low, cathode, because } of duties(evidence)) {
      const { part, to } = element;
      if (part.kind === 'bridge' || element.isBody || isAcrossSwitch(element, evidence)) continue;
      const sure = levels.compare(high, low, [part]);
      if (Math.abs(sure) < SURE) continue;
      const isRight = sure > 0 ? to === cathode : to !== cathode;
      if (isRight) cleared.add(part);
      else
        blamed.set(part, {
          parts: [part],
          message: `${part.ref} can never conduct where it sits: ${because}.`,
          advice:
            'Compare the ring on the body with the board print; a reversed rectifier means no output, or a short.',
        });
    }
    return [...blamed].filter(([part]) => !cleared.has(part)).map(([, fault]) => fault);
  },
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

function duties(evidence: Evidence): readonly Duty[] {
  const { model, stages } = evidence;
  return [
    ...stages.flatMap((stage) => [...supplyDuties(stage, evidence), ...cellDuties(stage, evidence)]),
    ...secondaryWindings(evidence).flatMap((winding) => windingDuties(winding, model)),
    ...lineDuties(evidence),
  ];
}

/** Between a driven point and a supply rail a diode may only point to the higher rail. */
function supplyDuties({ sources, switches, form }: FoundStage, { model, stages }: Evidence): readonly Duty[] {
  const { elements, held } = model;
  if (form === 'cell' || form === 'sepic' || form === 'cuk') return [];
  const driven = new Set(
    elements.switches
      .filter(({ part }) => switches.includes(part))
      .flatMap(({ hi, lo }) => [hi, lo])
      .filter((rail) => !held.isHeld(rail)),
  );
  for (const { part, a, b } of elements.inductive)
    if (stages.some((stage) => stage.magnetics[0] === part && stage.switches === switches))
      for (const [near, far] of [
        [a, b],
        [b, a],
      ] as const)
        if (sources.includes(far) && !held.isHeld(near)) driven.add(near);
  return elements.rectifiers.flatMap((element) =>
    [
      [element.from, element.to],
      [element.to, element.from],
    ].flatMap(([near = -1, far = -1]) => {
      if (!driven.has(near) || !sources.includes(far)) return [];
      const other = sources.find((rail) => rail !== far);
      if (other === undefined) return [];
      return [
        {
          element,
          high: far,
          low: other,
          cathode: far,
          because: 'between a switched point and a supply rail it may only lead away from the switch',
        },
      ];
    }),
  );
}

function cellDuties(
  { form, topology, rectifiers, outputs, sources, magnetics }: FoundStage,
  { model }: Evidence,
): readonly Duty[] {
  if (!['cell', 'sepic', 'cuk'].includes(form)) return [];
  const { elements, held } = model;
  const [out = -1] = outputs;
  return elements.rectifiers
    .filter(
      ({ part, from, to, isBody }) => !isBody && rectifiers.includes(part) && held.isHeld(from) !== held.isHeld(to),
    )
    .flatMap((element) => {
      const still = held.isHeld(element.from) ? element.from : element.to;
      const swinging = still === element.from ? element.to : element.from;
      const because = `it should carry ${magnetics[0]?.ref ?? 'the choke'}’s current on when the switch opens`;
      if (still === out) {
        const common = commonOf(out, sources, model);
        return common === undefined ? [] : [{ element, high: out, low: common, cathode: out, because }];
      }
      return topology === 'buck' || topology === 'cuk'
        ? [{ element, high: out, low: still, cathode: swinging, because }]
        : [];
    });
}

/** The rail that input and output share: the one the output's capacitors lead to. */
function commonOf(out: number, sources: readonly number[], { elements }: Evidence['model']): number | undefined {
  const total = (rail: number) =>
    elements.capacitors
      .filter(({ a, b }) => (a === out && b === rail) || (b === out && a === rail))
      .reduce((sum, { part }) => sum + (part.value?.capacitance ?? 1e-6), 0);
  return sources.toSorted((a, b) => total(b) - total(a)).find((rail) => total(rail) > 0);
}

/** Single diodes on the mains: into the rail that is higher than its partner, out of the lower one. */
function lineDuties({ model, bulk }: Evidence): readonly Duty[] {
  const { elements, held } = model;
  const alternating = (rail: number) => held.mains.has(rail) || held.lineSecondary.has(rail) || held.dropped.has(rail);
  const groups = bulk.rails;
  return elements.rectifiers.flatMap((element): readonly Duty[] => {
    const { from, to } = element;
    if (element.isBody || alternating(from) === alternating(to)) return [];
    const still = alternating(from) ? to : from;
    if (!held.isHeld(still)) return [];
    const group = groups.find((rails) => rails.includes(still)) ?? [];
    const partner =
      elements.rectifiers
        .filter((other) => other !== element && other.part !== element.part && !other.isBody)
        .flatMap((other) =>
          alternating(other.from) !== alternating(other.to) ? [alternating(other.from) ? other.to : other.from] : [],
        )
        .find((rail) => rail !== still && held.isHeld(rail) && group.includes(rail)) ?? pairedRail(still, group, model);
    return partner === undefined
      ? []
      : [{ element, high: still, low: partner, cathode: still, because: 'it should let the mains charge its rail' }];
  });
}
