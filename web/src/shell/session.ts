/** Who is signed in, and what the role allows the screen to offer. */
import { useMutation, useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed } from 'vue'

import { api, take } from '../api/client'
import { forgetKept } from '../api/away'
import { forgetKnown } from '../api/known'
import { signedOut } from '../api/signedOut'
import { ownedBy } from '../api/unsaved'
import { forgetVersion } from '../api/version'
import type { KitchenFacts, Preferences, Session, SignInEntry } from '../api/types'
import { preferences } from '../kit/units'

const KEY = ['session']

const WHO = 'fernbell.who'

/** By password and, where it is asked for, a code; the people of the demo by their name alone. */
type ComingBack = { username: string } | SignInEntry

/** Steps in this tab, and what this browser kept, are of whoever was here before. */
async function forgetOthers({ person }: Session) {
  if (!person || person.username === sessionStorage.getItem(WHO)) return
  sessionStorage.clear()
  sessionStorage.setItem(WHO, person.username)
  await forgetKept()
}

/** Figures are read as this person reads them, and what is not saved is theirs. */
function readAs(session: Session): Session {
  if (session.person) {
    preferences.value = session.person.preferences
    ownedBy(session.person.username, session.person.kitchen.id)
  }
  return session
}

export function useSession() {
  const client = useQueryClient()
  const query = useQuery({
    queryKey: KEY,
    queryFn: async () => readAs(await take<Session>(api.GET('/api/session'))),
    staleTime: Infinity,
  })
  const person = computed(() => query.data.value?.person ?? null)
  const role = computed(() => person.value?.kitchen.role)
  const enter = <Given>(mutationFn: (given: Given) => Promise<Session>) =>
    useMutation({
      mutationFn,
      onSuccess: (session: Session) => {
        forgetKnown()
        forgetVersion()
        client.removeQueries({ predicate: (one) => one.queryKey[0] !== 'session' })
        client.setQueryData(KEY, readAs(session))
        signedOut.value = false
        void forgetOthers(session)
      },
    })
  /** Who one is stays; what is worked out may read otherwise now. */
  const settle = <Given>(mutationFn: (given: Given) => Promise<Session>) =>
    useMutation({
      mutationFn,
      onSuccess: (session: Session) => {
        client.setQueryData(KEY, readAs(session))
        void client.invalidateQueries({ queryKey: ['worked out'] })
      },
    })
  return {
    session: query.data,
    isPending: query.isPending,
    error: query.error,
    person,
    mayWrite: computed(() => role.value === 'chef' || role.value === 'cook'),
    isChef: computed(() => role.value === 'chef'),
    signIn: enter((body: SignInEntry) => take<Session>(api.POST('/api/session', { body }))),
    /** Back in as the same person: everything on the screen stays, and is asked anew. */
    comeBack: useMutation({
      mutationFn: ({ username, ...proof }: ComingBack) =>
        'password' in proof
          ? take<Session>(api.POST('/api/session', { body: { username, ...proof } }))
          : take<Session>(api.POST('/api/session/demo', { body: { username } })),
      onSuccess: (session: Session) => {
        client.setQueryData(KEY, readAs(session))
        signedOut.value = false
        void client.invalidateQueries({ predicate: (one) => one.queryKey[0] !== 'session' })
      },
    }),
    signInDemo: enter((username: string) =>
      take<Session>(api.POST('/api/session/demo', { body: { username } })),
    ),
    found: enter(
      (body: {
        kitchen: string
        name: string
        username: string
        password: string
        starter: boolean
        time_zone: string
      }) => take<Session>(api.POST('/api/session/first-chef', { body })),
    ),
    foundAnother: enter((body: { kitchen: string; starter: boolean; time_zone: string }) =>
      take<Session>(api.POST('/api/session/kitchens', { body })),
    ),
    enterKitchen: enter((kitchen: string) =>
      take<Session>(api.PUT('/api/session/kitchen', { body: { kitchen } })),
    ),
    prefer: settle((body: Preferences) =>
      take<Session>(api.PUT('/api/members/me/preferences', { body })),
    ),
    describeKitchen: settle((body: KitchenFacts) =>
      take<Session>(api.PUT('/api/members/kitchen', { body })),
    ),
    changePassword: settle((body: { old: string; new: string }) =>
      take<Session>(api.PUT('/api/members/me/password', { body })),
    ),
    signOut: enter(async () => {
      await take(api.DELETE('/api/session'))
      await forgetKept()
      return take<Session>(api.GET('/api/session'))
    }),
  }
}
