import type { Invited } from '@/server/access/sign-in'

/** What an adult is, and what that lets it do. */
export const roleInWords: Record<Invited['role'], string> = {
  teacher: 'Teacher',
  helper: 'Helper, who records at stations',
  coordinator: 'Coordinator, who reads the classes of the school',
  admin: 'School admin, who looks after accounts and backups',
}
