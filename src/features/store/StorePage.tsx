'use client'
import Alert from '@mui/material/Alert'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Snackbar from '@mui/material/Snackbar'
import Table from '@mui/material/Table'
import TableBody from '@mui/material/TableBody'
import TableCell from '@mui/material/TableCell'
import TableContainer from '@mui/material/TableContainer'
import TableHead from '@mui/material/TableHead'
import TableRow from '@mui/material/TableRow'
import Typography from '@mui/material/Typography'
import { useRef, useState } from 'react'
import type { Dryer } from '@/core/record/records/dryer'
import { systemClock } from '@/data/clock'
import { randomWord } from '@/data/newId'
import { listOwnDryers, putOwnDryers, removeOwnDryer } from '@/data/ownDryers'
import { database } from '@/data/shared'
import { saveBlob } from '@/ui/saveBlob'
import { PageHeader } from '../shared/PageHeader'
import { StorageHealth } from '../shared/storage/StorageHealth'
import { storeSentence } from '../shared/storage/storeSentence'
import { useLive } from '../shared/storage/useLive'
import { DryerDialog } from './DryerDialog'

type Message = { readonly good: boolean; readonly text: string }

const HEAD = ['Name', 'Place', 'Flow', 'Core', 'Block', 'Connections', 'Pressure', 'Tons', 'Van'] as const
const CORES = { sieve: 'sieve', blend: 'sieve, alumina', 'high-acid': 'alumina-rich' } as const

const cellsOf = ({ place, flow, core, block, connections, pressure, tons, onVan }: Dryer): string[] => [
  place,
  flow,
  CORES[core],
  `${block} in³`,
  connections.map(({ value, unit }) => `${value} ${unit}`).join(', '),
  `${pressure.value} ${pressure.unit}`,
  String(tons),
  onVan === undefined ? '' : String(onVan),
]

type ListProps = {
  dryers: readonly Dryer[]
  onOpen: (dryer: Dryer) => void
  onRemove: (dryer: Dryer) => void
}

function DryerTable({ dryers, onOpen, onRemove }: ListProps) {
  return (
    <TableContainer tabIndex={0} aria-label="Own dryers, scrolls sideways">
      <Table size="small" aria-label="Own dryers">
        <TableHead>
          <TableRow>
            {HEAD.map((each) => (
              <TableCell key={each}>{each}</TableCell>
            ))}
            <TableCell />
          </TableRow>
        </TableHead>
        <TableBody>
          {dryers.map((dryer) => (
            <TableRow key={dryer.id} data-dryer={dryer.id}>
              <TableCell sx={{ p: 0 }}>
                <Button
                  color="inherit"
                  onClick={() => onOpen(dryer)}
                  sx={{ justifyContent: 'flex-start', textAlign: 'left', textDecoration: 'underline' }}
                >
                  {dryer.label}
                </Button>
              </TableCell>
              {cellsOf(dryer).map((cell, i) => (
                <TableCell key={HEAD[i + 1]} sx={{ whiteSpace: 'nowrap' }}>
                  {cell}
                </TableCell>
              ))}
              <TableCell sx={{ p: 0 }}>
                <Button color="inherit" onClick={() => onRemove(dryer)} aria-label={`Remove ${dryer.label}`}>
                  Remove
                </Button>
              </TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Table>
    </TableContainer>
  )
}

const lines = (problems: readonly { line: number; message: string }[]) =>
  problems.map(({ line, message }) => `line ${line}: ${message}`).join('\n')

/** Takes a table of dryers; rows that cannot be read are told by their line. */
async function takeCsv(file: File): Promise<Message> {
  const [{ readDryerCsv }, { MOST_TABLE_BYTES }] = await Promise.all([
    import('@/core/record/archive/dryerCsv'),
    import('@/core/base/csv/csv'),
  ])
  if (file.size > MOST_TABLE_BYTES)
    return {
      good: false,
      text: `${file.name} is larger than 20 MB: no table of dryers is. Nothing was changed.`,
    }
  const { dryers, problems } = readDryerCsv(await file.text(), randomWord)
  if (dryers.length > 0) await putOwnDryers(database(), dryers, systemClock)
  const read = `${dryers.length} ${dryers.length === 1 ? 'dryer' : 'dryers'} of ${file.name} stored.`
  return problems.length === 0
    ? { good: true, text: read }
    : { good: false, text: `${read} Not read:\n${lines(problems)}` }
}

async function saveCsv(dryers: readonly Dryer[]) {
  const { writeDryerCsv } = await import('@/core/record/archive/dryerCsv')
  saveBlob(new Blob([writeDryerCsv(dryers)], { type: 'text/csv' }), 'orzo-dryers.csv')
}

type ToolsProps = {
  dryers: readonly Dryer[]
  onAdd: () => void
  storing: (work: Promise<Message | void>) => void
}

/** Adds one, takes a table, gives one. */
function Tools({ dryers, onAdd, storing }: ToolsProps) {
  const input = useRef<HTMLInputElement>(null)
  return (
    <>
      <Button variant="contained" onClick={onAdd}>
        Add a dryer
      </Button>
      <Button color="inherit" onClick={() => input.current?.click()}>
        Import CSV
      </Button>
      <Button color="inherit" onClick={() => storing(saveCsv(dryers))}>
        {dryers.length === 0 ? 'CSV template' : 'Export CSV'}
      </Button>
      <input
        ref={input}
        type="file"
        hidden
        accept=".csv,text/csv"
        data-testid="dryer-csv"
        onChange={(event) => {
          const file = event.target.files?.[0]
          event.target.value = ''
          if (file) storing(takeCsv(file))
        }}
      />
    </>
  )
}

type RemovedProps = {
  dryer: Dryer | undefined
  onBack: (dryer: Dryer) => void
  onClose: () => void
}

/** What was just taken out can be put back. */
const Removed = ({ dryer, onBack, onClose }: RemovedProps) => (
  <Snackbar
    open={dryer !== undefined}
    onClose={(_event, reason) => reason !== 'clickaway' && onClose()}
    autoHideDuration={12_000}
    message={`${dryer?.label ?? ''} removed`}
    action={
      <Button color="inherit" onClick={() => dryer && onBack(dryer)}>
        Put back
      </Button>
    }
  />
)

/** The user's own dryers: what the plan of a job chooses from beside the generic list. */
export function StorePage() {
  const dryers = useLive(() => listOwnDryers(database()), [])
  const [open, setOpen] = useState<{ readonly dryer?: Dryer }>()
  const [removed, setRemoved] = useState<Dryer>()
  const [message, setMessage] = useState<Message>()
  const storing = (work: Promise<Message | void>) => {
    work.then(
      (done) => done && setMessage(done),
      (error: Error) => setMessage({ good: false, text: `Not stored: ${storeSentence(error)}` }),
    )
  }
  const put = (dryer: Dryer) => storing(putOwnDryers(database(), [dryer], systemClock))
  return (
    <Box sx={{ minHeight: '100dvh' }}>
      <PageHeader title="Store">
        <Tools dryers={dryers ?? []} onAdd={() => setOpen({})} storing={storing} />
      </PageHeader>
      <Box
        component="main"
        sx={{ maxWidth: 1080, mx: 'auto', p: { xs: 1.5, md: 3 }, display: 'grid', gap: 2 }}
      >
        <StorageHealth />
        <Typography variant="h1">Own dryers</Typography>
        {message && (
          <Alert
            severity={message.good ? 'success' : 'warning'}
            onClose={() => setMessage(undefined)}
            sx={{ whiteSpace: 'pre-line' }}
          >
            {message.text}
          </Alert>
        )}
        {dryers && dryers.length > 0 ? (
          <DryerTable
            dryers={dryers}
            onOpen={(dryer) => setOpen({ dryer })}
            onRemove={(dryer) => {
              storing(removeOwnDryer(database(), dryer.id))
              setRemoved(dryer)
            }}
          />
        ) : (
          <Typography>
            None yet. Add those that lie on the van, from their labels and the maker&apos;s sheet: a plan
            ranks them beside the generic list and says why one is taken or refused.
          </Typography>
        )}
        <Typography sx={{ color: 'text.secondary', fontSize: '0.95rem' }}>
          A job carries copies of those it considered: a change here changes no older job.
        </Typography>
      </Box>
      {open && (
        <DryerDialog
          dryer={open.dryer}
          onClose={() => setOpen(undefined)}
          onSave={(dryer) => {
            put(dryer)
            setOpen(undefined)
          }}
        />
      )}
      <Removed
        dryer={removed}
        onBack={(dryer) => {
          put(dryer)
          setRemoved(undefined)
        }}
        onClose={() => setRemoved(undefined)}
      />
    </Box>
  )
}
