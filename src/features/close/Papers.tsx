'use client'
import Alert from '@mui/material/Alert'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import { SHEET_NAMES, SHEETS } from '@/core/base/units/sheets'
import { PAPER_TITLES, paperFile, PAPERS, type PaperName } from '@/core/report/paper/paperNames'
import { ChoiceChips } from '@/ui/ChoiceChips'
import { saveBlob } from '@/ui/saveBlob'
import { reportClient } from '@/workers/reportClient'
import type { ReportCall } from '@/workers/reportHandlers'
import { JobAnchor } from '../shared/address/JobAnchor'
import { useSheetSize } from './useSheetSize'

type Props = { jobId: string; call: ReportCall | undefined; isOpen: boolean }

/** The papers of a job as PDFs, made in the worker when they are asked for. */
export function Papers({ jobId, call, isOpen }: Props) {
  const [sheet, setSheet] = useSheetSize()
  const [making, setMaking] = useState<PaperName>()
  const [problem, setProblem] = useState<string>()
  const make = async (paper: PaperName) => {
    if (!call || making) return
    setMaking(paper)
    setProblem(undefined)
    try {
      const { bytes, title } = await reportClient().ask('pdf', { ...call, paper, sheet })
      saveBlob(new Blob([bytes as BlobPart], { type: 'application/pdf' }), paperFile(title, paper))
    } catch (error) {
      setProblem(`${PAPER_TITLES[paper]} was not made: ${(error as Error).message}`)
    } finally {
      setMaking(undefined)
    }
  }
  return (
    <Box component="section" aria-labelledby="papers-title" sx={{ display: 'grid', gap: 1 }}>
      <Typography id="papers-title" variant="h2">
        Report and tag
      </Typography>
      {isOpen && <Typography>Points are missing: the papers say so.</Typography>}
      <ChoiceChips
        label="Sheet"
        values={SHEETS}
        value={sheet}
        labels={SHEET_NAMES}
        onChange={(value) => {
          const chosen = SHEETS.find((each) => each === value)
          if (chosen) setSheet(chosen)
        }}
      />
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
        {PAPERS.map((paper) => (
          <Button
            key={paper}
            variant={paper === 'owner' ? 'contained' : 'outlined'}
            sx={{ minHeight: 48 }}
            disabled={!call || making !== undefined}
            onClick={() => void make(paper)}
          >
            {PAPER_TITLES[paper]}, PDF
          </Button>
        ))}
        <Button variant="outlined" sx={{ minHeight: 48 }} component={JobAnchor} jobId={jobId} page="print">
          Report to print
        </Button>
      </Box>
      <Typography role="status" sx={{ color: 'text.secondary', minHeight: '1.5em' }}>
        {making
          ? `Making: ${PAPER_TITLES[making].toLowerCase()}`
          : 'The tag is 100 × 60 mm; its code carries its own text.'}
      </Typography>
      {problem && (
        <Alert severity="error" onClose={() => setProblem(undefined)}>
          {problem}
        </Alert>
      )}
    </Box>
  )
}
