import type { BoardPart } from '../../../board';

/** How far something is so, from 0 to 1, and the parts it was seen at. */
export interface Fact {
  readonly grade: number;
  readonly parts: readonly BoardPart[];
}

/** The facts known of one part that may be the anchor of a stage, by name; what is not on it is not known. */
export class FactSheet {
  private readonly facts = new Map<string, Fact>();

  /** Notes a fact, or a stronger grade of it. */
  raise(name: string, grade: number, ...parts: readonly BoardPart[]): void {
    const known = this.facts.get(name);
    if (grade > 0 && grade > (known?.grade ?? 0)) this.facts.set(name, { grade: Math.min(1, grade), parts });
  }

  /** Notes a fact that either holds or does not. */
  note(name: string, holds: boolean, ...parts: readonly BoardPart[]): void {
    if (holds) this.raise(name, 1, ...parts);
  }

  grade(name: string): number {
    return this.facts.get(name)?.grade ?? 0;
  }

  /** The parts a fact was seen at; none where it is not known. */
  partsOf(name: string): readonly BoardPart[] {
    return this.facts.get(name)?.parts ?? [];
  }

  withdraw(name: string): void {
    this.facts.delete(name);
  }

  entries(): readonly (readonly [string, Fact])[] {
    return [...this.facts];
  }
}
