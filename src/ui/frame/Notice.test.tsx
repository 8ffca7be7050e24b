import { renderToStaticMarkup } from 'react-dom/server'
import { Chip } from '../pictures/Drawdown'
import { Notice } from './Notice'
import { TrayMark } from './TrayMark'

describe('small things', () => {
  it('a warning is told by icon and role, not by colour', () => {
    const markup = renderToStaticMarkup(<Notice kind="warning">Mind the torch.</Notice>)
    expect(markup).toMatch('role="alert"')
    expect(markup).toMatch('<svg')
    expect(markup).not.toMatch(/color:/)
  })
  it('a tray mark carries its item as data, and says its name', () => {
    const item = { kind: 'paint' as const, id: '1', label: 'Rain & "fog" blue', hex: '#112233', sheen: 'satin' }
    const markup = renderToStaticMarkup(<TrayMark item={item} />)
    const data = /data-tray="([^"]+)"/.exec(markup)![1]!.replaceAll('&quot;', '"').replaceAll('&amp;', '&')
    expect(JSON.parse(data)).toEqual(item)
    expect(markup).toMatch('aria-label="Tray: Rain &amp; &quot;fog&quot; blue"')
  })
  it('a chip without a colour is crossed out', () =>
    expect(renderToStaticMarkup(<Chip hex={null} />)).toContain('data-mark="no colour"'))
})
