/**
 * What was drawn and is not saved yet, kept on this device until it is: over a reload, the end of
 * the tab, and somebody else's turn at the same screen. Each finds their own; each tab keeps its
 * own, and what a tab that is gone has left goes to whoever claims it.
 */
import { type DBSchema, type IDBPDatabase, openDB } from 'idb'

import type { Shelf } from './shelves'

export interface Unsaved<Entry = unknown> {
  revision: number
  data: Entry
}

export interface Kept<Entry = unknown> extends Unsaved<Entry> {
  place: string
  owner: string
  shelf: Shelf
  id: string
}

interface Shape extends DBSchema {
  unsaved: { key: string; value: Kept; indexes: { owner: string } }
}

let opened: Promise<IDBPDatabase<Shape>> | undefined
/** Asked again after a refusal: a store that is forbidden now may be allowed later. */
function store(): Promise<IDBPDatabase<Shape>> {
  opened ??= openDB<Shape>('fernbell', 1, {
    upgrade: (made) => {
      made.createObjectStore('unsaved', { keyPath: 'place' }).createIndex('owner', 'owner')
    },
  })
  opened.catch(() => (opened = undefined))
  return opened
}

/** Nothing that a store refuses is worth stopping work for: the draft still lives on the screen. */
async function tried<T>(work: (made: IDBPDatabase<Shape>) => Promise<T>): Promise<T | undefined> {
  try {
    return await work(await store())
  } catch {
    return undefined
  }
}

/** Who is at work here, in which kitchen. */
let owner = ''
export function ownedBy(username: string, kitchen: string) {
  owner = JSON.stringify([username, kitchen])
}

/** This page, as long as it is open. */
const HERE = `${Date.now()} ${Math.random()}`
const placeOf = (shelf: Shelf, id: string) => JSON.stringify([owner, shelf, id, HERE])

export async function keepUnsaved<Entry>(shelf: Shelf, id: string, unsaved: Unsaved<Entry>) {
  const place = placeOf(shelf, id)
  // The entry is reactive: what is kept is a copy.
  const { revision, data } = JSON.parse(JSON.stringify(unsaved)) as Unsaved
  await tried((made) => made.put('unsaved', { place, owner, shelf, id, revision, data }))
}

export const dropUnsaved = (shelf: Shelf, id: string) => dropAt(placeOf(shelf, id))

export async function dropAt(place: string) {
  heldBack.delete(place)
  await tried((made) => made.delete('unsaved', place))
}

/** Everything of whoever is at work here that waits to be saved, from whichever tab. */
export async function everyUnsaved(): Promise<Kept[]> {
  return (await tried((made) => made.getAllFromIndex('unsaved', 'owner', owner))) ?? []
}

/** What a page that is gone has left of a row; from now on it is this page's. */
export async function takeLeft<Entry>(
  shelf: Shelf,
  id: string,
): Promise<Unsaved<Entry> | undefined> {
  for (const kept of await everyUnsaved()) {
    if (kept.shelf !== shelf || kept.id !== id) continue
    // One that is just being sent is waited for; by then it may have gone.
    const free = await claim(kept.place, LONGEST_SEND_MS)
    if (!free) continue
    const left = await tried((made) => made.get('unsaved', kept.place))
    if (left) {
      await keepUnsaved(shelf, id, left)
      await dropAt(kept.place)
    }
    free()
    if (left) return left as Unsaved<Entry>
  }
  return undefined
}
const LONGEST_SEND_MS = 2000

/** What was sent and found nobody: who leaves now is told that it is not saved yet. */
const heldBack = new Set<string>()
export const holdBack = (shelf: Shelf, id: string) => heldBack.add(placeOf(shelf, id))
window.addEventListener('beforeunload', (event) => {
  if (heldBack.size) event.preventDefault()
})

/** Be the only page that sends what is kept at a place of one's own. */
export const claimOwn = (shelf: Shelf, id: string) => claim(placeOf(shelf, id))

/**
 * Be the only page at a place; null where another is and stays there for so long. What is given
 * back ends it.
 */
export async function claim(place: string, waitMs = 0): Promise<(() => void) | null> {
  // Without locks, as outside a secure page, each takes itself for the only one.
  if (!('locks' in navigator)) return () => {}
  const wait = waitMs ? { signal: AbortSignal.timeout(waitMs) } : { ifAvailable: true }
  return new Promise((given) => {
    navigator.locks
      .request(place, wait, (lock) => {
        if (!lock) return given(null)
        return new Promise<void>((free) => given(free))
      })
      .catch(() => given(null))
  })
}
