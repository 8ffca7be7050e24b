'use client'

import { Form, Input } from 'antd'

/** The two fields of every door. @param known whether the password is one that is known, or is being chosen */
export function AddressAndPassword({ known }: { known: boolean }) {
  return (
    <>
      <Form.Item name="email" label="Address (email)" rules={[{ required: true, message: 'Type your address.' }]}>
        <Input size="large" autoComplete="email" inputMode="email" maxLength={200} />
      </Form.Item>
      <Form.Item name="password" label="Password" rules={[{ required: true, message: 'Type your password.' }]}>
        <Input.Password size="large" autoComplete={known ? 'current-password' : 'new-password'} maxLength={200} />
      </Form.Item>
    </>
  )
}
