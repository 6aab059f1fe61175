import type { BenchContext, ContextPart } from '../../core/benchline';
import { splitPin } from '../../core/board';
import type { PartRecord } from '../../db/repositories/parts';
import { listTypeNames } from '../../db/repositories/types';
import type { Dossier } from './dossier';

/** What a bench line may refer to on a donor; with the numbers of all known types when asked. */
export async function lineContext(dossier: Dossier, of: { readonly types?: boolean } = {}): Promise<BenchContext> {
  const [parts, stores, facts, { ownWords }, types] = await Promise.all([
    dossier.parts(),
    dossier.stores(),
    dossier.boardFacts(),
    dossier.settings(),
    of.types ? listTypeNames(dossier.db) : undefined,
  ]);
  const joined = new Map<string, string[]>();
  for (const pin of facts.filter(({ relation }) => relation === 'joined').flatMap(({ a, b }) => [a, b])) {
    const [ref, name] = splitPin(pin);
    joined.set(ref, [...(joined.get(ref) ?? []), name]);
  }
  return {
    parts: parts.map((record) => contextPart(record, joined.get(record.part.ref))),
    stores: stores.map(({ store }) => store.name),
    ...(types ? { types } : {}),
    ...(ownWords.length > 0 ? { ownWords } : {}),
  };
}

function contextPart({ part, ratings }: PartRecord, joined: readonly string[] | undefined): ContextPart {
  const { ref, kind, subtype, package: case_, marking } = part;
  const values = Object.entries(ratings).map(([name, { value }]) => [name, value] as const);
  return {
    ref,
    kind,
    ...(subtype ? { subtype } : {}),
    ...(case_ ? { package: case_ } : {}),
    ...(marking ? { marking } : {}),
    ...(values.length > 0 ? { ratings: Object.fromEntries(values) } : {}),
    ...(joined ? { joined: [...new Set(joined)] } : {}),
  };
}
