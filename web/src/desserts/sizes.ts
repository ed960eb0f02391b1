/** Several sizes of one dessert: each seen as an entry of its own, edits put where they belong. */
import type { DessertEntry, SizeEntry, WorkedOut } from '../api/types'

/** Key of the dessert's own size. */
export const FIRST = ''

export const sizeOf = (draft: DessertEntry, key: string) =>
  draft.sizes?.find((one) => one.key === key)

/** One size as an entry: its mold and count, its own parts or those worked out for it. */
export function viewOf(draft: DessertEntry, key: string, worked?: WorkedOut): DessertEntry {
  const size = sizeOf(draft, key)
  if (!size) return draft
  const followed = worked?.key === key ? worked : undefined
  return {
    ...draft,
    mold: size.mold,
    count: size.count ?? 1,
    parts: size.parts ?? followed?.parts ?? [],
    portions: size.portions ?? followed?.portions ?? null,
  }
}

/** A change of what is seen as a change of the draft. Parts changed once are the size's own. */
export function editOf(
  draft: DessertEntry,
  key: string,
  changed: Partial<DessertEntry>,
): Partial<DessertEntry> {
  if (!sizeOf(draft, key)) return changed
  const { name, built, holds, sizes, ...own } = changed
  const common = {
    ...(name === undefined ? {} : { name }),
    ...(built === undefined ? {} : { built }),
    ...(holds === undefined ? {} : { holds }),
  }
  if (sizes) return { ...common, sizes }
  return { ...common, sizes: withSize(draft, key, own as Partial<SizeEntry>) }
}

export function withSize(draft: DessertEntry, key: string, own: Partial<SizeEntry>): SizeEntry[] {
  return (draft.sizes ?? []).map((one) => (one.key === key ? { ...one, ...own } : one))
}

export function withoutSize(draft: DessertEntry, key: string): SizeEntry[] {
  return (draft.sizes ?? []).filter((one) => one.key !== key)
}
