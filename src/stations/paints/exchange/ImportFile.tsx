'use client'

import { Button, Checkbox, Progress, Select, Upload } from 'antd'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { DOOR_SAYS } from '@/core/answer'
import { Notice } from '@/ui/frame/Notice'
import { useSend } from '@/ui/hooks/useSend'
import { mendAction, openFileAction, previewAction, type Opened } from './actions'
import { COLUMNS, type Column, type Mapping } from '@/exchange/fields'
import type { Imported } from '@/exchange/import'
import type { Preview } from '@/exchange/listJobs'
import exchangeStyles from './exchange.module.css'
import paintsStyles from '../paints.module.css'

const STATE = { new: 'New', changed: 'Changes', same: 'Here already', bad: 'Cannot import' } as const

interface Run {
  readonly done: number
  readonly of: number
}

/** Import in three steps: choose a file, say which column is which and see what each row would do, then bring it in. */
export function ImportFile() {
  const [file, setFile] = useState<File>()
  const [opened, setOpened] = useState<Opened>()
  const [mapping, setMapping] = useState<Mapping>({})
  const [seen, setSeen] = useState<Preview | null>(null)
  const [problem, setProblem] = useState<string | null>(null)
  const [update, setUpdate] = useState(true)
  const [running, setRunning] = useState<Run>()
  const [result, setResult] = useState<Imported>()
  const open = useSend<Opened>({ quiet: true })
  const preview = useSend<Preview>({ quiet: true })
  const router = useRouter()
  const counts = seen?.counts ?? { new: 0, changed: 0, same: 0, bad: 0 }
  const good = counts.new + (update ? counts.changed : 0)

  /** The file as it is sent each time: nothing of it is kept by the server in between. */
  const list = (columns: Mapping, more: Readonly<Record<string, string>> = {}) => {
    const form = new FormData()
    form.set('file', file!)
    form.set('mapping', JSON.stringify(columns))
    for (const [key, value] of Object.entries(more)) form.set(key, value)
    return form
  }
  const choose = (file: File) => {
    setFile(file)
    setOpened(undefined)
    setResult(undefined)
    setSeen(null)
    setProblem(null)
    const form = new FormData()
    form.set('file', file)
    open.send(
      () => openFileAction(form),
      (read) => {
        setOpened(read)
        setMapping(read.mapping)
        setSeen(read.preview)
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
    preview.send(() => previewAction(list(next)), setSeen)
  }
  const more = () => {
    if (!seen) return
    const { rows } = seen
    preview.send(
      () => previewAction(list(mapping, { from: String(rows.length) })),
      (next) => setSeen({ ...next, rows: [...rows, ...next.rows] }),
    )
  }
  const run = async () => {
    if (!opened) return
    setProblem(null)
    setRunning({ done: 0, of: good })
    try {
      await bringIn(list(mapping, { update: String(update) }), (line) => {
        if ('done' in line) setRunning(line)
        else if ('imported' in line) {
          setResult(line.imported)
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
          <p style={{ fontSize: '1.1rem', fontWeight: 600, margin: 8 }}>
            {file?.name ?? 'Choose a file, or drop it here'}
          </p>
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
      {opened?.kind === 'table' && !result ? <MappingTable opened={opened} mapping={mapping} onMap={map} /> : null}
      {seen?.rows.length && opened && !result ? (
        <div className="panel">
          <div className="head">
            <h2 className="flush push">
              {counts.new} new, {counts.changed} changed, {counts.same} here already, {counts.bad} that cannot be
              imported
            </h2>
            {counts.changed ? (
              <Checkbox checked={update} onChange={(e) => setUpdate(e.target.checked)}>
                Change those that are here
              </Checkbox>
            ) : null}
            {counts.bad && opened.kind === 'table' ? <FixedUp list={() => list(mapping)} /> : null}
            <Button
              type="primary"
              size="large"
              disabled={good === 0 && opened.kind === 'table'}
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
          <PreviewTable preview={seen} onMore={more} busy={preview.pending} />
        </div>
      ) : null}
    </div>
  )
}

type Line = Run | { imported: Imported } | { message: string }

/** Sends an import and reads its progress line by line. */
async function bringIn(list: FormData, told: (line: Line) => void): Promise<void> {
  const response = await fetch('/paints/import/run', { method: 'POST', body: list })
  if (!response.body || response.headers.get('content-type') === 'text/plain') {
    const said = await response.text()
    if (!said.startsWith(DOOR_SAYS)) throw new Error('no answer')
    return told({ message: said.slice(DOOR_SAYS.length) })
  }
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
  opened,
  mapping,
  onMap,
}: {
  opened: Opened
  mapping: Mapping
  onMap: (heading: string, column: Column | '') => void
}) {
  const { headings, samples } = opened
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
            <small className={`muted ${paintsStyles.cut}`}>{samples[i]?.join(' · ') || 'empty'}</small>
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
function FixedUp({ list }: { list: () => FormData }) {
  const { send, pending, refusal } = useSend<string>({ quiet: true })
  const download = (csv: string) => {
    const url = URL.createObjectURL(new Blob([`\uFEFF${csv}`], { type: 'text/csv' }))
    const link = document.createElement('a')
    link.href = url
    link.download = 'fika-rows-to-mend.csv'
    link.click()
    URL.revokeObjectURL(url)
  }
  return (
    <>
      {refusal ? <Notice kind="warning">{refusal.message}</Notice> : null}
      <Button loading={pending} onClick={() => send(() => mendAction(list()), download)}>
        Download those to mend
      </Button>
    </>
  )
}

function PreviewTable({ preview, onMore, busy }: { preview: Preview; onMore: () => void; busy: boolean }) {
  const { counts, rows } = preview
  const more = counts.new + counts.changed + counts.same + counts.bad - rows.length
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
          {rows.map((r) => (
            <tr key={r.line} data-state={r.state}>
              <td className="num">{r.line}</td>
              <td>{r.name || <i>no name</i>}</td>
              <td style={{ fontWeight: r.state === 'bad' ? 650 : 400 }}>{STATE[r.state]}</td>
              <td>{r.why}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {more > 0 ? (
        <p>
          <Button size="large" loading={busy} onClick={onMore}>
            Show more
          </Button>{' '}
          <span className="muted">
            {more} more {more === 1 ? 'row' : 'rows'}
          </span>
        </p>
      ) : null}
    </>
  )
}
