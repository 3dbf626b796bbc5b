let audio: AudioContext | undefined

/** A browser lets a page sound only after a tap: called with the tap that begins a clock. */
export function unlockBell(): void {
  if (typeof AudioContext === 'undefined') return
  audio ??= new AudioContext()
  void audio.resume().catch(() => undefined)
}

const TONE = 880
const LENGTH = 0.25
const TIMES = 3

/** Three short tones; silent where nothing was tapped yet. */
export function ring(): void {
  if (!audio || audio.state !== 'running') return
  for (let i = 0; i < TIMES; i += 1) {
    const [tone, gain] = [audio.createOscillator(), audio.createGain()]
    const from = audio.currentTime + i * LENGTH * 2
    tone.frequency.value = TONE
    gain.gain.setValueAtTime(0.2, from)
    gain.gain.exponentialRampToValueAtTime(0.001, from + LENGTH)
    tone.connect(gain).connect(audio.destination)
    tone.start(from)
    tone.stop(from + LENGTH)
  }
}

/** Whether this browser may show notes over other programs. */
export const noteState = (): 'none' | 'ask' | 'on' | 'off' => {
  if (typeof Notification === 'undefined') return 'none'
  return Notification.permission === 'default' ? 'ask' : Notification.permission === 'granted' ? 'on' : 'off'
}

export const askForNotes = async (): Promise<void> => {
  if (typeof Notification !== 'undefined') await Notification.requestPermission()
}

/** Shows a note while the page is open but not looked at. */
export function showNote(text: string): void {
  if (noteState() !== 'on' || document.visibilityState === 'visible') return
  try {
    new Notification('Orzo', { body: text, tag: text })
  } catch {
    // phones allow notes from a service worker only: the tone and the page still tell
  }
}
