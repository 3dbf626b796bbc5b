'use client'
import Alert from '@mui/material/Alert'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import { useMemo, useRef, useState } from 'react'
import { pngBlob, svgBlob } from '@/ui/exportSvg'
import { Ladder } from '@/ui/ladder/Ladder'
import { ladderModel } from '@/core/drawing/ladderModel'
import { saveBlob } from '@/ui/saveBlob'
import { TEXT_SIZES } from '@/ui/theme/theme'
import { fileStem } from '../shared/files/exportJob'
import type { StageProps } from '../shared/stageProps'
import { useLook } from '../shared/display/DisplayProvider'

type Props = Pick<StageProps, 'job' | 'diagnosis' | 'display'> & { withExport?: boolean }

/** The ladder of the set that is looked at, and its way out as a file. */
export function LadderPane({ job, diagnosis, display, withExport }: Props) {
  const { snapshot, derived, targets } = diagnosis
  const model = useMemo(() => ladderModel({ snapshot, derived, targets }), [snapshot, derived, targets])
  const { textSize } = useLook()
  const box = useRef<HTMLDivElement>(null)
  const [problem, setProblem] = useState<string>()
  const save = async (kind: 'svg' | 'png') => {
    const svg = box.current?.querySelector('svg')
    if (!svg) return
    try {
      saveBlob(kind === 'svg' ? svgBlob(svg) : await pngBlob(svg), `${fileStem(job)}-ladder.${kind}`)
      setProblem(undefined)
    } catch (error) {
      setProblem(error instanceof Error ? error.message : String(error))
    }
  }
  return (
    <Box ref={box} sx={{ height: '100%', display: 'flex', flexDirection: 'column', minHeight: 0 }}>
      {problem && <Alert severity="error">{problem}</Alert>}
      <Box sx={{ flex: 1, minHeight: 0 }}>
        <Ladder model={model} display={display} title="Temperature ladder" zoom={TEXT_SIZES[textSize]} />
      </Box>
      {withExport && model.rungs.length > 0 && (
        <Box sx={{ display: 'flex', justifyContent: 'flex-end' }}>
          <Button color="inherit" onClick={() => void save('svg')}>
            Save as SVG
          </Button>
          <Button color="inherit" onClick={() => void save('png')}>
            Save as PNG
          </Button>
        </Box>
      )}
    </Box>
  )
}
