// Installs what is missing. Plain Node: runs before anything is installed.
import { spawnSync } from 'node:child_process'
import { existsSync, readFileSync, statSync } from 'node:fs'
import path from 'node:path'
import { fileURLToPath } from 'node:url'
import { CHROMIUM_PATH } from './chromium.mjs'

export const ROOT = path.resolve(path.dirname(fileURLToPath(import.meta.url)), '../..')

/** Runs a command in the project's root with its output shown; returns its exit code. */
export function run(command, args, env = {}) {
  const result = spawnSync(command, args, {
    cwd: ROOT,
    stdio: ['ignore', 'inherit', 'inherit'],
    env: { ...process.env, ...env },
  })
  if (result.error) console.error(`Could not start ${command}: ${result.error.message}`)
  return result.status ?? 1
}

function packagesAreCurrent() {
  const marker = path.join(ROOT, 'node_modules/.package-lock.json')
  if (!existsSync(marker)) return false
  return statSync(marker).mtimeMs >= statSync(path.join(ROOT, 'package-lock.json')).mtimeMs - 1000
}

/** node_modules by the lock file, only when missing or older than the lock file. */
export function ensurePackages() {
  if (packagesAreCurrent()) return
  console.log('Installing packages (npm ci) ...')
  const code = run('npm', ['ci', '--no-audit', '--no-fund'], { NEXT_TELEMETRY_DISABLED: '1' })
  if (code !== 0) {
    console.error('npm ci failed: see its message above, then run the command again.')
    process.exit(code)
  }
}

/** Chromium from Debian's packages, only when no executable is there. */
export function ensureChromium() {
  if (existsSync(CHROMIUM_PATH)) return
  console.log('Installing Chromium from Debian packages ...')
  const asRoot = process.getuid?.() === 0 ? [] : ['sudo', '-n']
  const apt = (...args) => {
    const [command, ...rest] = [...asRoot, 'apt-get', ...args]
    return run(command, rest, { DEBIAN_FRONTEND: 'noninteractive' })
  }
  apt('update')
  const code = apt('install', '-y', '--no-install-recommends', 'chromium')
  if (code !== 0 || !existsSync(CHROMIUM_PATH)) {
    console.error(
      'Chromium could not be installed. Install the Debian package "chromium" as root, or set CHROMIUM_PATH.',
    )
    process.exit(1)
  }
}

/** The name and version line of the product, for messages. */
export function productLine() {
  const { name, version } = JSON.parse(readFileSync(path.join(ROOT, 'package.json'), 'utf8'))
  return `${name} ${version}`
}
