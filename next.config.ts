import { execFileSync } from 'node:child_process'
import type { NextConfig } from 'next'
import { HEADERS } from './src/app/policy'
import { name, version } from './package.json'

/** "orzo 0.1.0 (0bb62ec)": what a judgement is stamped with; without a checkout the version alone. */
function build(): string {
  try {
    const commit = execFileSync('git', ['rev-parse', '--short', 'HEAD'], {
      stdio: ['ignore', 'pipe', 'ignore'],
    })
    return `${name} ${version} (${commit.toString().trim()})`
  } catch {
    return `${name} ${version}`
  }
}

const config: NextConfig = {
  reactStrictMode: true,
  // components and what they hand on are drawn again only where what they are made of changed
  reactCompiler: true,
  poweredByHeader: false,
  productionBrowserSourceMaps: false,
  headers: async () => [...HEADERS],
  devIndicators: false,
  env: { NEXT_PUBLIC_ORZO_BUILD: build() },
}

export default config
