/** How one comes in: one's sessions, and the code asked for at the door. */
import { useMutation, useQuery, useQueryClient } from '@tanstack/vue-query'

import { api, take } from '../api/client'
import type { RecoveryWords, Second, SecondSecret, Visit } from '../api/types'

const SESSIONS = ['session', 'own']
const SECOND = ['session', 'second']

export function useDoor() {
  const client = useQueryClient()
  const again = (queryKey: string[]) => () => client.invalidateQueries({ queryKey })
  return {
    sessions: useQuery({
      queryKey: SESSIONS,
      queryFn: () => take<Visit[]>(api.GET('/api/members/me/sessions')),
    }),
    end: useMutation({
      mutationFn: (name: string) =>
        take(api.DELETE('/api/members/me/sessions/{name}', { params: { path: { name } } })),
      onSettled: again(SESSIONS),
    }),
    endOthers: useMutation({
      mutationFn: () => take(api.DELETE('/api/members/me/sessions')),
      onSettled: again(SESSIONS),
    }),
    second: useQuery({
      queryKey: SECOND,
      queryFn: () => take<Second>(api.GET('/api/members/me/second')),
    }),
    begin: useMutation({
      mutationFn: (password: string) =>
        take<SecondSecret>(api.POST('/api/members/me/second', { body: { password } })),
    }),
    confirm: useMutation({
      mutationFn: (code: string) =>
        take<RecoveryWords>(api.PUT('/api/members/me/second', { body: { code } })),
      onSuccess: again(SECOND),
    }),
    turnOff: useMutation({
      mutationFn: (password: string) =>
        take<Second>(api.POST('/api/members/me/second/off', { body: { password } })),
      onSuccess: again(SECOND),
    }),
  }
}
