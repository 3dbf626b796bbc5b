'use client'
import { SearchChoice } from '@/ui/SearchChoice'

type Props = { value: string; values: readonly string[]; onChange: (place: string) => void }

/** One of many places, typed into. */
export const SearchPlace = (props: Props) => <SearchChoice label="Place" {...props} />
