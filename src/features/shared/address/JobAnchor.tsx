'use client'
import type { AnchorHTMLAttributes, MouseEvent } from 'react'
import type { JobPageName, Query } from './jobAddress'
import { goInJob, hrefOf } from './useAddress'

type Props = Omit<AnchorHTMLAttributes<HTMLAnchorElement>, 'href'> & {
  jobId: string
  page: JobPageName
  query?: Query
}

/** Whether the browser is asked for a tab of its own. */
const isElsewhere = ({ metaKey, ctrlKey, shiftKey, altKey, button }: MouseEvent) =>
  metaKey || ctrlKey || shiftKey || altKey || button !== 0

/** A link inside of a job, and told as one, whatever it looks like: it opens in the page that is there; a new tab, a bookmark, a copy of it work as for any link. */
export function JobAnchor({ jobId, page, query, onClick, role: _button, ...rest }: Props) {
  return (
    <a
      {...rest}
      href={hrefOf(jobId, page)}
      onClick={(event) => {
        onClick?.(event)
        if (event.defaultPrevented || isElsewhere(event)) return
        event.preventDefault()
        goInJob(jobId, page, query)
      }}
    />
  )
}
