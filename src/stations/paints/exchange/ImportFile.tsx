'use client'

import { Button, Checkbox, Progress, Select, Upload } from 'antd'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { Notice } from '@/ui/frame/Notice'
import { useSend } from '@/ui/hooks/useSend'
import { openFileAction, previewAction, type Opened, type PreviewRow } from './actions'
import { writeCsv } from '@/exchange/csv'
import { COLUMNS, type Column, type Mapping } from '@/exchange/fields'
import type { Imported } from '@/exchange/import'
import { type ReadFile, WHY_COLUMN } from '@/exchange/table'
import exchangeStyles from './exchange.module.css'
import paintsStyles from '../paints.module.css'

const STATE = { new: 'New', changed: 'Changes', same: 'Here already', bad: 'Cannot import' } as const
/** Lines of the preview shown at once: the bad ones come first. */
const SHOWN = 300

interface Run {
  readonly done: number
  readonly of: number
}

/** Import in three steps: choose a file, say which column is which and see what each row would do, then bring it in. */
export function ImportFile() {
  const [name, setName] = useState<string>()
  const [opened, setOpened] = useState<Opened>()
  const [mapping, setMapping] = useState<Mapping>({})
  const [rows, setRows] = useState<readonly PreviewRow[]>([])
  const [problem, setProblem] = useState<string | null>(null)
  const [update, setUpdate] = useState(true)
  const [running, setRunning] = useState<Run>()
  const [result, setResult] = useState<Imported>()
  const open = useSend<Opened>()
  const preview = useSend<PreviewRow[]>()
  const router = useRouter()
  const count = (state: PreviewRow['state']) => rows.filter((r) => r.state === state).length
  const good = count('new') + (update ? count('changed') : 0)

  const choose = (file: File) => {
    setName(file.name)
    setOpened(undefined)
    setResult(undefined)
    setRows([])
    setProblem(null)
    const form = new FormData()
    form.set('file', file)
    open.send(
      () => openFileAction(form),
      (read) => {
        setOpened(read)
        setMapping(read.mapping)
        setRows(read.rows)
        setProblem(read.problem)
      },
    )
  }
  const map = (heading: string, column: Column | '') => {
    if (!opened) return
    // A column of ours is read from one heading only.
    const next = Object.fromEntries(
      Object.entries({ ...mapping, [heading]: column }).map(([h, c]) => [h, h !== heading && c === column ? '' : c]),
    )
    setMapping(next)
    setProblem(null)
    preview.send(() => previewAction({ file: opened.file, mapping: next }), setRows)
  }
  const run = async () => {
    if (!opened) return
    setProblem(null)
    setRunning({ done: 0, of: good })
    try {
      await bringIn({ file: opened.file, mapping, update }, (line) => {
        if ('done' in line) setRunning(line)
        else if ('imported' in line) {
          setResult(line.imported)
          router.refresh()
        } else setProblem(line.message)
      })
    } catch {
      setProblem('Fika did not answer. Nothing was imported; try again.')
    }
    setRunning(undefined)
  }
  const refusal = open.refusal ?? preview.refusal
  return (
    <div className="grid">
      <div className="panel">
        <Upload.Dragger
          accept=".csv,.tsv,.txt,.xlsx,.json,.gpl,.cxf,.xml"
          maxCount={1}
          showUploadList={false}
          beforeUpload={(f) => (choose(f), false)}
          style={{ height: 'auto' }}
        >
          <p style={{ fontSize: '1.1rem', fontWeight: 600, margin: 8 }}>{name ?? 'Choose a file, or drop it here'}</p>
          <p className="muted" style={{ margin: 8 }}>
            CSV or XLSX with a heading, a catalogue as JSON, a GIMP palette or CxF3 swatches. Nothing is written until
            you have seen every row.
          </p>
        </Upload.Dragger>
      </div>
      {open.pending ? <p role="status">Reading the file …</p> : null}
      {refusal ? <Notice kind="warning">{refusal.message}</Notice> : null}
      {problem ? <Notice kind="warning">{problem}</Notice> : null}
      {result ? (
        <Notice kind="done">
          {result.added} added, {result.changed} changed, {result.same} here already, {result.bad} not imported.{' '}
          <Button type="primary" className="beside" onClick={() => router.push('/paints')}>
            See the drawer
          </Button>
        </Notice>
      ) : null}
      {opened?.file.kind === 'table' && !result ? (
        <MappingTable file={opened.file} mapping={mapping} onMap={map} />
      ) : null}
      {rows.length && opened && !result ? (
        <div className="panel">
          <div className="head">
            <h2 className="flush push">
              {count('new')} new, {count('changed')} changed, {count('same')} here already, {count('bad')} that cannot
              be imported
            </h2>
            {count('changed') ? (
              <Checkbox checked={update} onChange={(e) => setUpdate(e.target.checked)}>
                Change those that are here
              </Checkbox>
            ) : null}
            {count('bad') ? <FixedUp opened={opened} mapping={mapping} rows={rows} /> : null}
            <Button
              type="primary"
              size="large"
              disabled={good === 0 && opened.file.kind === 'table'}
              loading={Boolean(running)}
              onClick={() => void run()}
            >
              Import {good} good {good === 1 ? 'row' : 'rows'}
            </Button>
          </div>
          {running ? (
            <Progress
              percent={Math.round((100 * running.done) / Math.max(1, running.of))}
              strokeColor="#1c1c1c"
              aria-label="Import"
            />
          ) : null}
          <PreviewTable rows={rows} />
        </div>
      ) : null}
    </div>
  )
}

type Line = Run | { imported: Imported } | { message: string }

/** Sends an import and reads its progress line by line. */
async function bringIn(request: unknown, told: (line: Line) => void): Promise<void> {
  const response = await fetch('/paints/import/run', {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify(request),
  })
  if (!response.body) throw new Error('no answer')
  const reader = response.body.pipeThrough(new TextDecoderStream()).getReader()
  let rest = ''
  for (;;) {
    const { value, done } = await reader.read()
    rest += value ?? ''
    const lines = rest.split('\n')
    rest = lines.pop()!
    for (const line of lines) if (line.trim()) told(JSON.parse(line) as Line)
    if (done) return
  }
}

/** Each heading of the list with its first cells, and which of our columns it is. */
function MappingTable({
  file,
  mapping,
  onMap,
}: {
  file: Extract<ReadFile, { kind: 'table' }>
  mapping: Mapping
  onMap: (heading: string, column: Column | '') => void
}) {
  const { headings, rows } = file.table
  return (
    <details className="panel" open={!Object.values(mapping).includes('name')}>
      <summary>
        <b>Columns</b>{' '}
        <span className="muted">
          {headings.filter((h) => mapping[h]).length} of {headings.length} are read; the choice is kept for the next
          list with these headings
        </span>
      </summary>
      <div className={exchangeStyles.mapping}>
        {headings.map((h, i) => (
          <div key={h}>
            <b className={paintsStyles.cut}>{h}</b>
            <small className={`muted ${paintsStyles.cut}`}>
              {rows
                .slice(0, 3)
                .map((r) => r[i])
                .filter(Boolean)
                .join(' · ') || 'empty'}
            </small>
            <Select<Column | ''>
              aria-label={`Column for ${h}`}
              value={mapping[h] ?? ''}
              onChange={(c) => onMap(h, c)}
              showSearch
              options={[
                { value: '', label: 'leave out' },
                ...COLUMNS.map((c) => ({ value: c, label: c.replaceAll('_', ' ') })),
              ]}
            />
          </div>
        ))}
      </div>
    </details>
  )
}

/** The bad rows as a list to mend: as they came, with why beside them. */
function FixedUp({ opened, mapping, rows }: { opened: Opened; mapping: Mapping; rows: readonly PreviewRow[] }) {
  const download = () => {
    if (opened.file.kind !== 'table') return
    const { headings, rows: cells } = opened.file.table
    const at = new Map(headings.map((h, k) => [mapping[h], k] as const).filter(([c]) => c))
    const used = COLUMNS.filter((c) => at.has(c))
    const bad = rows.filter((r) => r.state === 'bad')
    const csv = writeCsv({
      headings: [WHY_COLUMN, ...used],
      rows: bad.map((r) => [r.why, ...used.map((c) => cells[r.line - 2]?.[at.get(c)!] ?? '')]),
    })
    const url = URL.createObjectURL(new Blob([`\uFEFF${csv}`], { type: 'text/csv' }))
    const link = document.createElement('a')
    link.href = url
    link.download = 'fika-rows-to-mend.csv'
    link.click()
    URL.revokeObjectURL(url)
  }
  return <Button onClick={download}>Download those to mend</Button>
}

function PreviewTable({ rows }: { rows: readonly PreviewRow[] }) {
  const order = { bad: 0, changed: 1, new: 2, same: 3 }
  const shown = [...rows].sort((a, b) => order[a.state] - order[b.state] || a.line - b.line).slice(0, SHOWN)
  return (
    <>
      <table className="sheet">
        <thead>
          <tr>
            <th className="num">Line</th>
            <th>Name</th>
            <th>What happens</th>
            <th>Why</th>
          </tr>
        </thead>
        <tbody>
          {shown.map((r) => (
            <tr key={r.line} data-state={r.state}>
              <td className="num">{r.line}</td>
              <td>{r.name || <i>no name</i>}</td>
              <td style={{ fontWeight: r.state === 'bad' ? 650 : 400 }}>{STATE[r.state]}</td>
              <td>{r.why}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {rows.length > shown.length ? <p className="muted">and {rows.length - shown.length} more rows</p> : null}
    </>
  )
}
