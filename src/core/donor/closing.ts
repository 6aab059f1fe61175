import type { StationName } from '../station';
import { OUTCOMES, type OutcomeName } from './outcome';

/** What stands of a unit when its work is to end. */
export interface ClosingFacts {
  /** Stores that no reading shows dead; and power that was put to it and not taken away. */
  readonly liveStores: readonly string[];
  readonly isPowered: boolean;
  readonly openQuestions: number;
  readonly isClockRunning: boolean;
  readonly isRunUnderWay: boolean;
  /** Parts taken out of it. */
  readonly harvested: number;
  /** Lots of it that lie in no bin. */
  readonly unplaced: readonly string[];
  /** Lots of it with pieces left whose label nobody said to have stuck on. */
  readonly unlabelled: readonly string[];
  /** How putting it together went, and its first power-up. */
  readonly reassembly: 'works' | 'closed' | 'loose' | 'not-possible' | undefined;
  readonly powerUp: 'not-begun' | 'running' | 'stopped' | 'passed';
  readonly hasToldNext: boolean;
}

/** Something to look at before a unit is closed; a stop is confirmed by hand. */
export interface ClosingCheck {
  readonly level: 'stop' | 'open';
  readonly message: string;
  readonly station: StationName;
}

const list = (names: readonly string[]) => names.join(', ');

/** What is still charged, unfinished, unplaced or unanswered, for the way a unit is to end. */
export function closingChecks(outcome: OutcomeName, facts: ClosingFacts): readonly ClosingCheck[] {
  const { goesOut } = OUTCOMES[outcome];
  const isBack = outcome === 'works' || outcome === 'repaired';
  const when = (
    is: boolean,
    level: ClosingCheck['level'],
    station: StationName,
    message: string,
  ): readonly ClosingCheck[] => (is ? [{ level, station, message }] : []);
  return [
    ...when(facts.isPowered, 'stop', 'make-safe', 'Power is on it still: unplug it and say so.'),
    ...when(
      facts.liveStores.length > 0 && !isBack,
      'stop',
      'make-safe',
      `Not measured dead: ${list(facts.liveStores)}.`,
    ),
    ...when(
      goesOut && facts.harvested > 0,
      'stop',
      'harvest',
      `${facts.harvested} ${facts.harvested === 1 ? 'part was' : 'parts were'} taken out of it: it goes out incomplete.`,
    ),
    ...when(
      isBack && (facts.reassembly === undefined || facts.reassembly === 'loose' || facts.reassembly === 'not-possible'),
      'stop',
      'open',
      facts.reassembly === undefined
        ? 'It was not put together again.'
        : 'It was put together with something loose, or cannot be: the case is part of what protects a hand.',
    ),
    ...when(
      outcome === 'repaired' && facts.powerUp !== 'passed',
      'stop',
      'record',
      facts.powerUp === 'stopped' ? 'Its first power-up was stopped.' : 'Its first power-up has not passed.',
    ),
    ...when(facts.isRunUnderWay, 'open', 'harvest', 'Its harvest is under way still.'),
    ...when(facts.isClockRunning, 'open', 'open', 'A clock of it runs still.'),
    ...when(facts.unplaced.length > 0, 'open', 'harvest', `In no bin yet: ${list(facts.unplaced)}.`),
    ...when(facts.unlabelled.length > 0, 'open', 'harvest', `No label stuck on yet: ${list(facts.unlabelled)}.`),
    ...when(
      facts.openQuestions > 0,
      'open',
      'record',
      `${facts.openQuestions} ${facts.openQuestions === 1 ? 'question or claim is' : 'questions or claims are'} open.`,
    ),
    ...when(!facts.hasToldNext, 'open', 'record', 'Nothing is written down for the next one of its kind.'),
  ];
}
