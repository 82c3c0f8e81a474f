import { LinkList } from '@yugator/core';
import type { LinkFacts, LinkSpec, LinkTarget } from '@yugator/core';
import type { OpenList } from './openList.js';

/** By supplier, kit or machine, then by article. */
function byOwner<L extends { readonly owner: string; readonly article: string }>(a: L, b: L): number {
  return a.owner.localeCompare(b.owner) || a.article.localeCompare(b.article);
}

/** A list that says something of articles for their owners, ready to be read against what is known. */
export function openLinks<L extends { readonly owner: string; readonly article: string }>(
  spec: LinkSpec<L>,
  facts: LinkFacts<L>,
  acts: Pick<OpenList<L, LinkTarget>, 'judge' | 'write'>,
): OpenList<L, LinkTarget> {
  return {
    columns: spec.columns,
    known: facts.links.map(({ line }) => line).sort(byOwner),
    reader: (head) => LinkList.of(spec, head, facts),
    ...acts,
  };
}
