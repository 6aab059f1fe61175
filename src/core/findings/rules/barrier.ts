import type { FindingRule } from '../finding';

export const barrierBreach: FindingRule = {
  rule: 'barrier-breach',
  severity: 'danger',
  source: 'IEC 62368-1: only reinforced insulation may lie between mains and touchable outputs, from memory',
  check: ({ barrier }) => [
    ...barrier.breaches.map((part) => ({
      parts: [part],
      message: `${part.ref} ties the mains side to the isolated side, and it is neither transformer, optocoupler nor Y capacitor: the output can be live.`,
      advice:
        'Do not power this unit from the mains and do not touch its output. Find out whether the part belongs there.',
    })),
    ...barrier.joined.map(({ pins: [mains, output], parts }) => ({
      parts,
      message: `${mains} and ${output} are one net, and the barrier must part them: as it is traced, the output is live.`,
      advice:
        'Do not power this unit from the mains and do not touch its output. Beep the two pins against each other once more: a slip of a probe is likely, and if it is none, find what joins them.',
    })),
  ],
};
