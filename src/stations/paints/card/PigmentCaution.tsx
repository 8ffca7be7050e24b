import { Notice } from '@/ui/frame/Notice'

/** The caution for pigments whose dust harms; also shown at the bench. */
export function PigmentCaution() {
  return (
    <Notice kind="warning">
      This pigment is harmful as dust. Wear gloves, never sand or spray it without proper respiratory protection, and
      follow the label, local codes and licensed practice.
    </Notice>
  )
}
