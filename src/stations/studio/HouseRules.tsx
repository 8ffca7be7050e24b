'use client'

import { Button, Form, Input, Select } from 'antd'
import { Link } from '@/ui/frame/Link'
import { RATIO_BY_BODY } from '@/core/mix/schools'
import { WATER_RULES, WATER_SCHOOLS } from '@/core/mix/waterLimit'
import { parseNumber } from '@/core/quantity/number'
import { BODIES, BODY_WORDS } from '@/core/paint/properties'
import type { StudioFacts } from '@/db/people/studio'
import { Notice } from '@/ui/frame/Notice'
import { useSend } from '@/ui/hooks/useSend'
import { saveRulesAction } from './actions'

const percentText = (share: number | null | undefined) =>
  share === null || share === undefined ? '' : String(Math.round(1000 * share) / 10)
/** A share typed as a percentage; nothing typed is none, and what cannot be read is for the schema to refuse. */
const shareTyped = (typed: string) => {
  const bare = typed.replace('%', '').trim()
  return bare ? (parseNumber(bare) ?? Number.NaN) / 100 : null
}

/** The studio's house rules, and where the start values come from. */
export function HouseRules({ studio, decides }: { studio: StudioFacts; decides: boolean }) {
  const { send, pending, refusal } = useSend<null>()
  const [form] = Form.useForm()
  const own: unknown = Form.useWatch('waterSchool', form) ?? studio.water.school
  return (
    <section className="panel" aria-label="House rules">
      <h2>House rules</h2>
      <Form
        form={form}
        layout="vertical"
        initialValues={{
          ...studio,
          waterSchool: studio.water.school,
          waterShare: percentText(studio.water.value),
        }}
        requiredMark={false}
        disabled={!decides}
        onFinish={({ waterShare, ...f }: Record<string, unknown>) =>
          send(() => saveRulesAction({ ...f, waterShare: shareTyped(String(waterShare ?? '')) }), undefined, 'Saved')
        }
      >
        <Form.Item name="name" label="Name of the studio">
          <Input maxLength={120} />
        </Form.Item>
        <div className="two columns">
          <Form.Item name="units" label="A bare number means">
            <Select
              options={[
                { value: 'metric', label: 'ml, g, cm' },
                { value: 'us', label: 'fl oz, oz, in' },
              ]}
            />
          </Form.Item>
          <Form.Item name="currency" label="Currency">
            <Input maxLength={3} />
          </Form.Item>
        </div>
        <Form.Item name="waterSchool" label="How much water is too much">
          <Select
            options={WATER_SCHOOLS.map((k) => ({
              value: k,
              label: WATER_RULES[k].name,
            }))}
          />
        </Form.Item>
        {own === 'own' ? (
          <Form.Item name="waterShare" label="Our own share of the paint, %">
            <Input placeholder={percentText(WATER_RULES.own.limit)} inputMode="decimal" />
          </Form.Item>
        ) : null}
        <p className="muted">
          Medium bears water too, by its binder against that of a soft tube paint; craft and house paint in much medium
          bear less. That part of the rule is Fika’s own.
        </p>
        {refusal ? <Notice kind="warning">{refusal.message}</Notice> : null}
        {decides ? (
          <Button htmlType="submit" loading={pending}>
            Save
          </Button>
        ) : (
          <p>These rules are an owner’s to change.</p>
        )}
      </Form>
      <h3 className="below">Start ratios, medium : paint</h3>
      <p className="muted">
        The studio’s own are kept under <Link href="/bench/recipes">Bench, Recipes and rules</Link>.
      </p>
      <table className="sheet">
        <tbody>
          {BODIES.map((b) => (
            <tr key={b}>
              <td>{BODY_WORDS[b]}</td>
              <td className="num">
                {RATIO_BY_BODY[b].medium} : {RATIO_BY_BODY[b].paint}
              </td>
              <td className="muted fine">{RATIO_BY_BODY[b].source}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  )
}
