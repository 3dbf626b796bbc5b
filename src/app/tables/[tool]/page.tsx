import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { TablesPage } from '@/features/tables/TablesPage'
import { isTool, TOOLS } from '@/features/tables/tools'

type Props = { params: Promise<{ tool: string }> }

export const generateStaticParams = () => TOOLS.map(({ id }) => ({ tool: id }))

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  const { tool } = await params
  return { title: TOOLS.find(({ id }) => id === tool)?.label ?? 'Tables' }
}

export default async function ToolPage({ params }: Props) {
  const { tool } = await params
  if (!isTool(tool)) notFound()
  return <TablesPage tool={tool} />
}
