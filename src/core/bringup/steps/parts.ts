import type { PowerUpFacts, UnitStore } from '../unit';
import type { Draft, Failing } from '../step';

/** Hands at the board, or at plugs and switches only: both only while it is off. */
export const atBoard = { power: 'off', hands: 'board' } as const;
export const atPlug = { power: 'off', hands: 'plug' } as const;

/** It runs, from a distance. */
export const running = ({ feed }: Pick<PowerUpFacts, 'feed'>) =>
  ({ power: feed === 'direct' ? 'bench' : 'mains', hands: 'away' }) as const;

/** What cannot be done as it is written ends the power-up. */
export const orStop = (says: string): readonly Failing[] => [{ level: 'stop', when: 'it cannot be done so', says }];

/** Where a store is read once its clips are on: at the pins of the pulled plug where it stands across the mains. */
export const placeOfStore = ({ role }: UnitStore): string =>
  role === 'filter' ? 'at the pins of the pulled plug' : 'through its clips';

/** A store that is read while it is off, without a hand at the board. */
export const readOff = (
  store: UnitStore,
  of: Pick<Draft, 'group' | 'id' | 'title' | 'how' | 'failings' | 'notBefore'> & {
    readonly asked: Omit<NonNullable<Draft['asked']>, 'unit' | 'point'>;
  },
): Draft => ({
  ...of,
  power: 'off',
  hands: store.role === 'filter' ? 'plug' : 'away',
  asked: { unit: 'volt', point: store.name, ...of.asked },
  store: store.name,
  protects: 'The hand that takes the clips off',
});
