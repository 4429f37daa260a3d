import type { Metadata } from 'next'
import { toolsPage } from '@/server/show'
import { ToolsScreen } from '@/ui/tools/tools-screen'
import { load } from '../../../load'

export const metadata: Metadata = { title: 'Tools' }

export default async function ToolsRoute({ params }: { params: Promise<{ classId: string }> }) {
  const { classId } = await params
  await load(toolsPage, { classId })
  return <ToolsScreen classId={classId} />
}
