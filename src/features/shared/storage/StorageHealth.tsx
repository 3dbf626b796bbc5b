'use client'
import Alert from '@mui/material/Alert'
import Button from '@mui/material/Button'
import { useState } from 'react'
import { storeSentence, healthSentence } from './storeSentence'
import { useHealth } from './useLive'

/** Stands above every page while nothing can be stored: what happened, what to do, and the way to save what is there. */
export function StorageHealth() {
  const health = useHealth()
  const [told, setTold] = useState<string>()
  const sentence = healthSentence(health)
  if (!sentence) return null
  const rescue = async () => {
    try {
      const { downloadRescue } = await import('../files/backup')
      const { jobs, lost } = await downloadRescue()
      const missing = lost.length === 0 ? '' : ` Not readable, and not in it: ${lost.join(', ')}.`
      setTold(
        `${jobs} jobs were saved in the file.${missing} Restore it with “Import” once the store works again.`,
      )
    } catch (error) {
      setTold(`Nothing could be read: ${storeSentence(error as Error)}`)
    }
  }
  return (
    <Alert
      severity={health.state === 'blocked' ? 'warning' : 'error'}
      variant="filled"
      sx={{ position: 'sticky', top: 0, zIndex: 20, alignItems: 'center', borderRadius: 0 }}
      action={
        <>
          {health.state === 'failed' && (
            <Button color="inherit" onClick={() => void rescue()}>
              Save what can be read
            </Button>
          )}
          {health.state !== 'blocked' && (
            <Button color="inherit" onClick={() => location.reload()}>
              Reload
            </Button>
          )}
        </>
      }
    >
      {sentence}
      {told && <div>{told}</div>}
    </Alert>
  )
}
