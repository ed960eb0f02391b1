/** Who works in this kitchen, and what changes that. */
import { useMutation, useQuery, useQueryClient } from '@tanstack/vue-query'

import { api, take } from '../api/client'
import type { Member, Role } from '../api/types'

export interface NewMember {
  name: string
  username: string
  password: string
  role: Role
}

export function useMembers() {
  const client = useQueryClient()
  const refresh = () => client.invalidateQueries({ queryKey: ['members'] })
  const at = (id: number) => ({ params: { path: { member_id: id } } })
  return {
    members: useQuery({
      queryKey: ['members'],
      queryFn: () => take<Member[]>(api.GET('/api/members')),
    }),
    add: useMutation({
      mutationFn: (body: NewMember) => take(api.POST('/api/members', { body })),
      onSuccess: refresh,
    }),
    change: useMutation({
      mutationFn: ({ id, role }: { id: number; role: Role }) =>
        take(api.PUT('/api/members/{member_id}', { ...at(id), body: { role } })),
      onSettled: refresh,
    }),
    reset: useMutation({
      mutationFn: (id: number) =>
        take<{ word: string }>(api.POST('/api/members/{member_id}/word', at(id))),
    }),
    remove: useMutation({
      mutationFn: (id: number) => take(api.DELETE('/api/members/{member_id}', at(id))),
      onSettled: refresh,
    }),
  }
}
