/** Puts every property table and case book into memory before a test file runs, as the app does before it computes. */
import { readFileSync } from 'node:fs'
import path from 'node:path'
import { keepBook, type StoredBook } from '@/core/diagnosis/ranking/cases/caseBook'
import { UNIT_CLASSES } from '@/core/diagnosis/ranking/cases/unitClass'
import { REFRIGERANT_NAMES } from '@/core/physics/refrigerants/catalogue'
import { keepTable, type PropertyTable } from '@/core/physics/refrigerants/tables'

const FOLDER = path.resolve(__dirname, '../../src/core/physics/refrigerants/tables')

for (const name of REFRIGERANT_NAMES) {
  const file = `${name.toLowerCase().replace('-', '')}.json`
  keepTable(name, JSON.parse(readFileSync(path.join(FOLDER, file), 'utf8')) as PropertyTable)
}

const BOOKS = path.resolve(__dirname, '../../src/core/diagnosis/ranking/cases/books')

for (const unitClass of UNIT_CLASSES) {
  keepBook(JSON.parse(readFileSync(path.join(BOOKS, `${unitClass}.json`), 'utf8')) as StoredBook)
}
