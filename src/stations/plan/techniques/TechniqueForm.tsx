'use client'

import { Button, Checkbox, Input, Select } from 'antd'
import { useState } from 'react'
import { Invalid } from '@/core/errors'
import { COAT_ROLES } from '@/core/plan/uses'
import { numberIn } from '@/core/quantity/number'
import { readTyped } from '@/core/quantity/typed'
import { CAUTIONS, CUP_KINDS, WANTS, type Caution, type Technique, type Wait } from '@/core/technique/technique'
import { Notice } from '@/ui/frame/Notice'
import { useSend } from '@/ui/hooks/useSend'
import { saveTechniqueAction } from './actions'

const optionsOf = <V extends string>(values: readonly V[]) => values.map((value) => ({ value, label: value }))

/** Waits as they are typed, one a line: `cup stands upside down: 2`. @throws Invalid */
export function readWaits(typed: string): Wait[] {
  return typed
    .split('\n')
    .filter((line) => line.trim())
    .map((line) => {
      const at = line.lastIndexOf(':')
      if (at < 1)
        throw new Invalid(
          `“${line.trim().slice(0, 40)}” is no wait. Type what is waited for and the minutes, like: cells open: 2`,
        )
      return {
        what: line.slice(0, at).trim(),
        minutes: numberIn(line.slice(at + 1), `“${line.slice(at + 1).trim()}” is not a number of minutes.`),
      }
    })
}

/** A technique of the studio's own, all of it editable. */
export function TechniqueForm({ technique, onDone }: { technique: Technique; onDone: () => void }) {
  const [t, setT] = useState({
    ...technique,
    cups: [...technique.cups] as Technique['cups'][number][],
    needs: [...technique.needs],
    forbids: [...technique.forbids],
    cautions: [...technique.cautions],
  })
  const [typed, setTyped] = useState({
    least: String(technique.levelTimeS[0]),
    most: String(technique.levelTimeS[1]),
    runOff: String(Math.round(technique.runOffShare * 100)),
    tools: technique.tools.join('\n'),
    waits: technique.waits.map((w) => `${w.what}: ${w.minutes}`).join('\n'),
  })
  const change = (part: Partial<typeof t>) => setT((before) => ({ ...before, ...part }))
  const type = (part: Partial<typeof typed>) => setTyped((before) => ({ ...before, ...part }))
  const { send, pending, refusal } = useSend<null>()
  const read = readTyped(() => ({
    levelTimeS: [
      numberIn(typed.least, `“${typed.least}” is not a number of seconds.`),
      numberIn(typed.most, `“${typed.most}” is not a number of seconds.`),
    ],
    runOffShare: numberIn(typed.runOff, `“${typed.runOff}” is not a number of percent.`) / 100,
    tools: typed.tools
      .split('\n')
      .map((x) => x.trim())
      .filter(Boolean),
    waits: readWaits(typed.waits),
  }))
  return (
    <>
      <div className="head">
        <h1>{t.name}</h1>
        <Button size="large" onClick={onDone}>
          Back
        </Button>
        <Button
          type="primary"
          size="large"
          loading={pending}
          onClick={() =>
            read.value && send(() => saveTechniqueAction({ ...t, ...read.value }), onDone, 'Technique kept')
          }
        >
          Keep it
        </Button>
      </div>
      {read.sentence || refusal ? <Notice kind="warning">{read.sentence ?? refusal?.message}</Notice> : null}
      <div className="two">
        <section className="panel">
          <label className="field">
            <span>Name</span>
            <Input value={t.name} maxLength={80} onChange={(e) => change({ name: e.target.value })} />
          </label>
          <label className="field">
            <span>Tends to give</span>
            <Input.TextArea
              rows={2}
              value={t.gives}
              maxLength={400}
              onChange={(e) => change({ gives: e.target.value })}
            />
          </label>
          <div className="three">
            <label className="field">
              <span>Level after, s</span>
              <Input aria-label="Least seconds" value={typed.least} onChange={(e) => type({ least: e.target.value })} />
            </label>
            <label className="field">
              <span>at most</span>
              <Input aria-label="Most seconds" value={typed.most} onChange={(e) => type({ most: e.target.value })} />
            </label>
            <label className="field">
              <span>Runs off, %</span>
              <Input value={typed.runOff} onChange={(e) => type({ runOff: e.target.value })} />
            </label>
          </div>
          <label className="field">
            <span>Cups, the usual one first</span>
            <Select
              mode="multiple"
              aria-label="Cups"
              className="wide"
              value={t.cups}
              onChange={(cups) => change({ cups })}
              options={optionsOf(CUP_KINDS)}
            />
          </label>
          <label className="field">
            <span>Coats it wants</span>
            <Select
              mode="multiple"
              aria-label="Coats it wants"
              className="wide"
              value={t.needs}
              onChange={(needs) => change({ needs })}
              options={optionsOf(COAT_ROLES)}
            />
          </label>
          <label className="field">
            <span>Coats it goes without</span>
            <Select
              mode="multiple"
              aria-label="Coats it goes without"
              className="wide"
              value={t.forbids}
              onChange={(forbids) => change({ forbids })}
              options={optionsOf(COAT_ROLES)}
            />
          </label>
        </section>
        <section className="panel">
          <div className="two columns">
            <label className="field">
              <span>Silicone</span>
              <Select
                aria-label="Silicone"
                className="wide"
                value={t.silicone}
                onChange={(silicone) => change({ silicone })}
                options={optionsOf(WANTS)}
              />
            </label>
            <label className="field">
              <span>Heat</span>
              <Select
                aria-label="Heat"
                className="wide"
                value={t.heat}
                onChange={(heat) => change({ heat })}
                options={optionsOf(WANTS)}
              />
            </label>
          </div>
          <Checkbox className="big-check" checked={t.cells} onChange={(e) => change({ cells: e.target.checked })}>
            Cells are wanted
          </Checkbox>
          <label className="field">
            <span>Tools, one a line</span>
            <Input.TextArea rows={3} value={typed.tools} onChange={(e) => type({ tools: e.target.value })} />
          </label>
          <label className="field">
            <span>Waits, one a line: what, and minutes</span>
            <Input.TextArea
              rows={3}
              value={typed.waits}
              placeholder="cells open: 2"
              onChange={(e) => type({ waits: e.target.value })}
            />
          </label>
          <div className="field">
            <span>Cautions that are shown</span>
            {(Object.keys(CAUTIONS) as Caution[]).map((c) => (
              <Checkbox
                key={c}
                className="big-check"
                checked={t.cautions.includes(c)}
                onChange={(e) =>
                  change({ cautions: e.target.checked ? [...t.cautions, c] : t.cautions.filter((x) => x !== c) })
                }
              >
                {c}
              </Checkbox>
            ))}
          </div>
        </section>
      </div>
    </>
  )
}
