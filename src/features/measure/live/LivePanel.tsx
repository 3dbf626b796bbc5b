'use client'
import { unitText } from '@/core/base/units/system'
import { useUnits } from '@/ui/units'
import { liveIn } from './capture'
import { allLogs } from '@/core/record/job/acrossRounds'
import Alert from '@mui/material/Alert'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import ButtonBase from '@mui/material/ButtonBase'
import FormControlLabel from '@mui/material/FormControlLabel'
import Switch from '@mui/material/Switch'
import ToggleButton from '@mui/material/ToggleButton'
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup'
import Typography from '@mui/material/Typography'
import { useSyncExternalStore } from 'react'
import { type ReadingKey, readingRow } from '@/core/record/readings/vocabulary'
import { type LiveSession, type ProbeState, SETTLE_CHOICES, type SessionState } from '@/instruments/session'
import { SimulatedSource } from '@/instruments/simulatedSource'
import { INK } from '@/ui/theme/tokens'
import { LogImport } from '../LogImport'
import { LogList } from '../../shared/logs/LogList'
import type { StageProps } from '../../shared/stageProps'
import { RecordButton } from './RecordButton'
import { DEMO_SPEED, type Live } from './useLive'

const never = () => () => undefined

const STATE_WORDS: Readonly<Record<ProbeState['state'], string>> = {
  silent: '○ silent',
  moving: '~ moving',
  settled: '● settled',
  lost: '✕ lost, last value',
}

type ProbeProps = {
  probe: ProbeState
  held: boolean
  onHold: () => void
  session: LiveSession
  onCapture: (key: ReadingKey) => void
}

/** One instrument: what it shows, where it is put; tap it, then tap a place. */
function Probe({ probe, held, onHold, session, onCapture }: ProbeProps) {
  const { info, tap, latest, state, trend, battery } = probe
  const { source } = session
  const { system } = useUnits()
  const shown = latest && liveIn(latest, system)
  return (
    <Box
      component="li"
      data-probe={info.id}
      data-state={state}
      sx={{ borderBottom: 1, borderColor: 'divider', bgcolor: held ? INK.copperWash : undefined }}
    >
      <ButtonBase
        onClick={onHold}
        aria-pressed={held}
        sx={{
          width: '100%',
          minHeight: 56,
          px: 1.5,
          display: 'flex',
          textAlign: 'left',
          gap: 1,
          font: 'inherit',
        }}
      >
        <Box component="span" sx={{ flex: 1 }}>
          <strong>{info.name}</strong> {tap ? `on ${readingRow(tap).short.toLowerCase()}` : 'free'}
          <Typography
            component="span"
            sx={{ display: 'block', fontSize: '0.85rem', color: 'text.secondary' }}
          >
            {STATE_WORDS[state]}
            {trend && state !== 'settled' ? `, ${trend}` : ''}
            {battery === undefined ? '' : ` · battery ${Math.round(100 * battery)} %`}
          </Typography>
        </Box>
        <Typography component="span" sx={{ fontSize: '1.2rem', fontWeight: 650, whiteSpace: 'nowrap' }}>
          {shown?.value ?? '–'}
          <Typography component="span" sx={{ ml: 0.5, fontSize: '0.85rem', color: 'text.secondary' }}>
            {shown && unitText(shown.unit)}
          </Typography>
        </Typography>
      </ButtonBase>
      {held && (
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.75, px: 1.5, pb: 1 }}>
          <Typography sx={{ width: '100%', fontSize: '0.9rem' }}>
            Now tap the place where it is put, on the circuit or in the list.
          </Typography>
          {tap && latest && (
            <Button size="small" variant="contained" onClick={() => onCapture(tap)}>
              Capture
            </Button>
          )}
          {tap && (
            <Button size="small" variant="outlined" onClick={() => void session.assign(info.id, undefined)}>
              Take off
            </Button>
          )}
          {state === 'lost' && (
            <Button size="small" variant="outlined" onClick={() => void session.resume(info.id)}>
              Reconnect
            </Button>
          )}
          {state !== 'lost' && source instanceof SimulatedSource && (
            <Button size="small" color="inherit" onClick={() => void source.drop(info.id)}>
              Walk out of reach
            </Button>
          )}
        </Box>
      )}
    </Box>
  )
}

function Settle({ state, session }: { state: SessionState; session: LiveSession }) {
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
      <span>Settled when still for</span>
      <ToggleButtonGroup
        exclusive
        value={state.settleSeconds}
        aria-label="Settled when still for"
        onChange={(_event, seconds: number | null) => seconds !== null && session.setSettleSeconds(seconds)}
      >
        {SETTLE_CHOICES.map((seconds) => (
          <ToggleButton key={seconds} value={seconds} sx={{ px: 1 }}>
            {seconds} s
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
    </Box>
  )
}

type Props = {
  live: Live
  stage: StageProps
  taps: readonly ReadingKey[]
  /** probe that waits for its place */
  held: string | undefined
  onHold: (probe: string | undefined) => void
  onCapture: (keys: readonly ReadingKey[]) => void
  auto: boolean
  onAuto: (on: boolean) => void
}

function NotConnected({ session, state }: { session: LiveSession; state: SessionState }) {
  const waiting = state.status === 'connecting'
  return (
    <>
      {state.status === 'failed' && <Alert severity="error">{state.message}</Alert>}
      <p style={{ margin: 0 }}>
        {session.source.name} stand in for wireless ones: gauges, clamps, air probes, meter, scale and micron
        gauge on the simulated unit of this demo job, which lives {DEMO_SPEED} times as fast as the clock.
      </p>
      <Button variant="contained" disabled={waiting} onClick={() => void session.connect()}>
        {waiting ? 'Looking for instruments' : 'Connect instruments'}
      </Button>
    </>
  )
}

/** The instruments of this visit, and logs of others. */
export function LivePanel({
  live: { session, recorder, state, taps: liveTaps },
  stage,
  taps,
  held,
  onHold,
  onCapture,
  auto,
  onAuto,
}: Props) {
  const connected = state.status === 'connected'
  const recording = useSyncExternalStore(
    recorder?.watch ?? never,
    () => recorder?.get().log?.id,
    () => undefined,
  )
  const settled = [...liveTaps].filter(([, tap]) => tap.state === 'settled').map(([key]) => key)
  const streaming = [...liveTaps].filter(([, tap]) => tap.state !== 'lost').map(([key]) => key)
  return (
    <Box sx={{ p: 1.5, display: 'grid', gap: 1.25 }}>
      {!session && (
        <p style={{ margin: 0 }}>
          No wireless instruments can be connected to this job yet: key the readings, or import the log that
          an instrument wrote. The demo jobs show live readings on simulated ones.
        </p>
      )}
      {session && !connected && <NotConnected session={session} state={state} />}
      {session && connected && (
        <>
          {state.message && <Alert severity="error">{state.message}</Alert>}
          <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.75 }}>
            <Button variant="outlined" onClick={() => void session.assignAll(taps)}>
              Put all on
            </Button>
            <Button
              variant="contained"
              disabled={streaming.length === 0}
              onClick={() => onCapture(streaming)}
            >
              Capture all {streaming.length}
            </Button>
            <Button variant="outlined" disabled={settled.length === 0} onClick={() => onCapture(settled)}>
              Capture settled {settled.length}
            </Button>
            <Button color="inherit" onClick={() => void session.disconnect()}>
              Disconnect
            </Button>
          </Box>
          <FormControlLabel
            sx={{ minHeight: 48 }}
            control={<Switch checked={auto} onChange={(_event, on) => onAuto(on)} />}
            label="Take each one when it has settled"
          />
          <Settle state={state} session={session} />
          {recorder && <RecordButton recorder={recorder} taps={liveTaps.size} />}
          <Box component="ul" aria-label="Instruments" sx={{ listStyle: 'none', m: 0, p: 0, mx: -1.5 }}>
            {state.probes.map((probe) => (
              <Probe
                key={probe.info.id}
                probe={probe}
                session={session}
                held={held === probe.info.id}
                onHold={() => onHold(held === probe.info.id ? undefined : probe.info.id)}
                onCapture={(key) => onCapture([key])}
              />
            ))}
          </Box>
        </>
      )}
      <LogImport stage={stage} />
      <LogList jobId={stage.job.id} logs={allLogs(stage.job)} recording={recording} />
    </Box>
  )
}
