'use client'

import { Button, Upload } from 'antd'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { Notice } from '@/ui/Notice'
import { useSend } from '@/ui/useSend'
import { importCsvAction, previewCsvAction, type PreviewRow } from './actions'

const STATE = { new: 'New', here: 'Here already', bad: 'Cannot import' } as const

/** Text of a file: UTF-8, or Windows-1252 where it is not. */
async function readText(file: File): Promise<string> {
  const bytes = await file.arrayBuffer()
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes)
  } catch {
    return new TextDecoder('windows-1252').decode(bytes)
  }
}

/** Import in two steps: choose a file and see what each row would do, then bring in the good ones. */
export function ImportCsv({ columns }: { columns: readonly string[] }) {
  const [file, setFile] = useState<{ name: string; text: string }>()
  const [rows, setRows] = useState<PreviewRow[]>()
  const [result, setResult] = useState<{ added: number; here: number; bad: number }>()
  const preview = useSend<PreviewRow[]>()
  const load = useSend<{ added: number; here: number; bad: number }>()
  const router = useRouter()
  const count = (state: PreviewRow['state']) => rows?.filter((r) => r.state === state).length ?? 0

  const choose = async (chosen: File) => {
    const text = await readText(chosen)
    setFile({ name: chosen.name, text })
    setRows(undefined)
    setResult(undefined)
    preview.send(() => previewCsvAction({ text }), setRows)
  }
  return (
    <div className="grid" style={{ maxWidth: 1000 }}>
      <div className="panel">
        <div>
          <Upload.Dragger
            accept=".csv,text/csv"
            maxCount={1}
            showUploadList={false}
            beforeUpload={(f) => (void choose(f), false)}
          >
            <p style={{ fontSize: '1.1rem', fontWeight: 600, margin: 8 }}>
              {file ? file.name : 'Choose a CSV file, or drop it here'}
            </p>
            <p className="muted" style={{ margin: 8 }}>
              Nothing is written until you have seen every row.
            </p>
          </Upload.Dragger>
        </div>
        <p className="muted" style={{ marginTop: 12, marginBottom: 0 }}>
          The first line names the columns; only <b>name</b> must be there, and a swatch for paints. Fika reads:{' '}
          {columns.join(', ')}.
        </p>
      </div>
      {preview.refusal ? <Notice kind="warning">{preview.refusal.message}</Notice> : null}
      {load.refusal ? <Notice kind="warning">{load.refusal.message}</Notice> : null}
      {result ? (
        <Notice kind="done">
          {result.added} added, {result.here} here already, {result.bad} not imported.{' '}
          <Button type="primary" style={{ marginLeft: 12 }} onClick={() => router.push('/paints')}>
            See the drawer
          </Button>
        </Notice>
      ) : null}
      {rows && file && !result ? (
        <div className="panel">
          <div className="head">
            <h2 style={{ margin: 0, marginRight: 'auto' }}>
              {count('new')} new, {count('here')} here already, {count('bad')} that cannot be imported
            </h2>
            <Button
              type="primary"
              size="large"
              disabled={count('new') === 0}
              loading={load.pending}
              onClick={() => load.send(() => importCsvAction({ text: file.text }), setResult)}
            >
              Import {count('new')} good {count('new') === 1 ? 'row' : 'rows'}
            </Button>
          </div>
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
              {[...rows]
                .sort((a, b) => Number(b.state === 'bad') - Number(a.state === 'bad') || a.line - b.line)
                .slice(0, 500)
                .map((r) => (
                  <tr key={r.line} data-state={r.state}>
                    <td className="num">{r.line}</td>
                    <td>{r.name || <i>no name</i>}</td>
                    <td style={{ fontWeight: r.state === 'bad' ? 650 : 400 }}>{STATE[r.state]}</td>
                    <td>{r.why}</td>
                  </tr>
                ))}
            </tbody>
          </table>
        </div>
      ) : null}
    </div>
  )
}
