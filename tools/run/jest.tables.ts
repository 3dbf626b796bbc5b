/** Puts every property table into memory before a test file runs, as the app does before it computes. */
import { readFileSync } from 'node:fs'
import path from 'node:path'
import { REFRIGERANT_NAMES } from '@/core/refrigerants/catalogue'
import { keepTable, type PropertyTable } from '@/core/refrigerants/tables'

const FOLDER = path.resolve(__dirname, '../../src/core/refrigerants/tables')

for (const name of REFRIGERANT_NAMES) {
  const file = `${name.toLowerCase().replace('-', '')}.json`
  keepTable(name, JSON.parse(readFileSync(path.join(FOLDER, file), 'utf8')) as PropertyTable)
}
