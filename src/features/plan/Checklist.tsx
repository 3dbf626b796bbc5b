'use client'
import Box from '@mui/material/Box'
import ButtonBase from '@mui/material/ButtonBase'
import Checkbox from '@mui/material/Checkbox'
import FormControlLabel from '@mui/material/FormControlLabel'
import { INK } from '@/ui/theme/tokens'
import { type ReactNode, useEffect, useId, useRef, useState } from 'react'

type Line = {
  readonly id: string
  readonly label: string
  /** stands below the label, small */
  readonly note?: ReactNode
  /** stands behind a tap */
  readonly detail?: ReactNode
  /** it cannot be ticked yet: its note says why */
  readonly isHeld?: boolean
}
type Props = {
  lines: readonly Line[]
  ticked: readonly string[]
  onTick: (id: string, on: boolean) => void
  ordered?: boolean
  label: string
  /** the line that was chosen elsewhere: open, and in sight */
  opened?: string | undefined
  /** the line that is pointed at, here or in a drawing */
  lit?: string | undefined
  onLight?: (id: string | undefined) => void
}

type RowProps = {
  line: Line
  name: string
  checked: boolean
  isChosen: boolean
  isLit: boolean
  onLight: Props['onLight']
  onTick: Props['onTick']
}

function Row({ line, name, checked, isChosen, isLit, onLight, onTick }: RowProps) {
  const [own, setOpen] = useState<boolean>()
  const open = own ?? isChosen
  const detail = useId()
  const item = useRef<HTMLLIElement>(null)
  useEffect(() => {
    if (isChosen) item.current?.scrollIntoView({ block: 'nearest' })
  }, [isChosen])
  return (
    <Box
      ref={item}
      component="li"
      data-lit={isLit || undefined}
      onPointerEnter={() => onLight?.(line.id)}
      onPointerLeave={() => onLight?.(undefined)}
      onFocus={() => onLight?.(line.id)}
      onBlur={() => onLight?.(undefined)}
      sx={{ borderBottom: 1, borderColor: 'divider', py: 0.25 }}
      style={isLit ? { background: INK.copperWash } : undefined}
    >
      <Box sx={{ display: 'flex', alignItems: 'center' }}>
        <Box sx={{ flex: 1, minWidth: 0 }}>
          <FormControlLabel
            // a long label keeps its distance from the note below
            sx={{
              alignItems: 'flex-start',
              m: 0,
              minHeight: 48,
              width: '100%',
              '& .MuiFormControlLabel-label': { pt: 1.5, pb: 1, lineHeight: 1.4 },
            }}
            control={
              <Checkbox
                checked={checked}
                disabled={line.isHeld === true && !checked}
                onChange={(event) => onTick(line.id, event.target.checked)}
                sx={{ width: 48, height: 48, flexShrink: 0 }}
              />
            }
            label={name}
          />
          {line.note && <Box sx={{ pl: 6, mt: -1, pb: 0.75 }}>{line.note}</Box>}
        </Box>
        {line.detail && (
          <ButtonBase
            aria-expanded={open}
            aria-controls={detail}
            aria-label={`More of: ${line.label}`}
            onClick={() => setOpen(!open)}
            sx={{ width: 48, height: 48, flexShrink: 0, fontSize: '1.2rem', color: 'text.secondary' }}
          >
            {open ? '−' : '+'}
          </ButtonBase>
        )}
      </Box>
      {line.detail && (
        <Box id={detail} hidden={!open} sx={{ pl: { xs: 2, md: 6 }, pb: 1 }}>
          {open && line.detail}
        </Box>
      )}
    </Box>
  )
}

/** Lines to tick off; what was ticked is kept with the job. */
export function Checklist({ lines, ticked, onTick, ordered, label, opened, lit, onLight }: Props) {
  return (
    <Box component={ordered ? 'ol' : 'ul'} aria-label={label} sx={{ listStyle: 'none', m: 0, p: 0 }}>
      {lines.map((line, i) => (
        <Row
          key={line.id}
          line={line}
          name={`${ordered ? `${i + 1}. ` : ''}${line.label}`}
          checked={ticked.includes(line.id)}
          isChosen={opened === line.id}
          isLit={lit !== undefined && lit === line.id}
          onLight={onLight}
          onTick={onTick}
        />
      ))}
    </Box>
  )
}
