/**
 * Keeps what the database refuses out of what a test prints, where having it refuse is what is tested. Called within
 * `describe`; anything else that is said there makes the test fail.
 */
export function refusalsUnsaid(): void {
  let said: jest.SpyInstance<void, unknown[]>
  beforeEach(() => {
    said = jest.spyOn(console, 'error').mockImplementation(() => undefined)
  })
  afterEach(() => {
    const others = said.mock.calls.filter(
      ([error]) => !/^23\d{3}$/.test((error as { code?: string } | null)?.code ?? ''),
    )
    said.mockRestore()
    expect(others).toEqual([])
  })
}
