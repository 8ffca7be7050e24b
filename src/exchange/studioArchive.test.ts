import { mkdtempSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import Papa from 'papaparse'
import { v7 as uuidv7 } from 'uuid'
import { makeStudio } from '../../tests/support/studio'
import { signUp, person } from '../../tests/support/accounts'
import { endPool } from '@/db/base/pool'
import { withStudio } from '@/db/base/withStudio'
import { bringInEverything } from '@/db/everything/bringIn'
import { sumsOfStudio } from '@/db/everything/takeOut'
import { openStudioArchive, writeStudioArchive } from './studioArchive'

const folder = mkdtempSync(join(tmpdir(), 'fika-archive-'))
afterAll(async () => {
  rmSync(folder, { recursive: true })
  await endPool()
})

it('a studio goes through a file, for its owner’s eyes, and can be read in a spreadsheet', async () => {
  const studio = await makeStudio()
  const paint = await studio.paint('=HYPERLINK("x")')
  await studio.bottle('Teal 1', [{ materialId: paint, ul: 60_000 }])
  const path = join(folder, 'a.zip')
  const manifest = await withStudio(studio.who, (tx) => writeStudioArchive(tx, path), { oneMoment: true })
  expect(statSync(path).mode & 0o777).toBe(0o600)
  const archive = await openStudioArchive(path)
  const csv = Papa.parse<Record<string, string>>((await archive.files('csv/material.csv')).toString(), { header: true })
  expect(csv.errors).toEqual([])
  expect(csv.data).toHaveLength(manifest.tables.material!.rows)
  // No cell begins a formula.
  expect(csv.data.map((r) => r.name)).toContain(`'=HYPERLINK("x")`)
  const by = await signUp(person())
  const studioId = uuidv7()
  await withStudio({ studioId, accountId: null }, (tx) => bringInEverything(tx, by.accountId, archive.files))
  archive.close()
  expect(await withStudio({ studioId, accountId: by.accountId }, sumsOfStudio)).toEqual(manifest.tables)
})

it('what is no archive, or is cut short, is refused in words', async () => {
  const path = join(folder, 'b.zip')
  writeFileSync(path, 'no archive')
  await expect(openStudioArchive(path)).rejects.toMatchObject({ code: 'Invalid' })
  const studio = await makeStudio()
  const whole = join(folder, 'c.zip')
  await withStudio(studio.who, (tx) => writeStudioArchive(tx, whole))
  const bytes = readFileSync(whole)
  writeFileSync(path, bytes.subarray(0, bytes.length / 2))
  await expect(openStudioArchive(path)).rejects.toMatchObject({ code: 'Invalid' })
  const archive = await openStudioArchive(whole)
  await expect(archive.files('tables/nothing.json')).rejects.toMatchObject({ code: 'Invalid' })
  archive.close()
})
