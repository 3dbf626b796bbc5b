import base from '../../playwright.config'

// npm run screenshots (after a build): the pictures of docs/screenshots from demo data.
const config = { ...base, testDir: '.', testMatch: '*.shots.ts', workers: 1 }

export default config
