import type { Metadata } from 'next'
import { Nowhere } from '@/features/shared/Nowhere'

export const metadata: Metadata = { title: 'Not found' }

export default function NotFound() {
  return <Nowhere title="There is no such page" what="The address may be cut off or mistyped." />
}
