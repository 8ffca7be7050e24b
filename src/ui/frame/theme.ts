import { theme as antd, type ThemeConfig } from 'antd'

/** True neutral greys only (chroma 0): the paint is the only colour on the screen. Declared here and nowhere else. */
export const GREY = {
  ink: '#1c1c1c',
  soft: '#4d4d4d',
  faint: '#666666',
  line: '#cfcfcf',
  wash: '#ececec',
  ground: '#f5f5f5',
  paper: '#ffffff',
  bar: '#ffffff',
} as const
type Greys = Readonly<Record<keyof typeof GREY, string>>

/** The bench's darker neutral. */
const DARK: Greys = {
  ink: '#f2f2f2',
  soft: '#d0d0d0',
  faint: '#b8b8b8',
  line: '#4a4a4a',
  wash: '#333333',
  ground: '#1f1f1f',
  paper: '#2b2b2b',
  bar: '#171717',
}

export const FONT = "'Atkinson Hyperlegible Next Variable', 'Atkinson Hyperlegible Next', system-ui, sans-serif"

const variables = (greys: Greys) =>
  Object.entries(greys)
    .map(([name, grey]) => `--${name}:${grey};`)
    .join('')

/** The same greys and type as variables, for the style sheets. */
export const VARIABLES = `:root{${variables(GREY)}--font:${FONT};}.frame-dark{${variables(DARK)}}`

type Algorithm = typeof antd.defaultAlgorithm

/** Derived once for each theme: its seeds never change, and every page that is served would derive them anew. */
function derivedOnce(): Algorithm {
  let found: ReturnType<Algorithm> | undefined
  return (seeds) => (found ??= antd.defaultAlgorithm(seeds))
}

/** Ant Design in Fika's greys: statuses speak by icon and word, so their colours are ink too. */
export const theme: ThemeConfig = {
  zeroRuntime: true,
  // One name for its variables on every page, so that they are kept once.
  cssVar: { key: 'fika' },
  algorithm: derivedOnce(),
  token: {
    fontFamily: FONT,
    fontSize: 16,
    colorPrimary: GREY.ink,
    colorInfo: GREY.ink,
    colorSuccess: GREY.ink,
    colorWarning: GREY.ink,
    colorError: GREY.ink,
    colorLink: GREY.ink,
    colorLinkHover: GREY.soft,
    colorText: GREY.ink,
    colorTextSecondary: GREY.soft,
    colorTextTertiary: GREY.faint,
    colorTextPlaceholder: '#707070',
    colorTextQuaternary: GREY.faint,
    colorIcon: GREY.soft,
    colorBorder: '#8a8a8a',
    colorBorderSecondary: GREY.line,
    colorBgLayout: GREY.ground,
    borderRadius: 6,
    controlHeight: 44,
    controlHeightLG: 56,
    controlHeightSM: 36,
    motionDurationMid: '0.12s',
    motionDurationSlow: '0.16s',
    boxShadow: 'none',
    boxShadowSecondary: '0 4px 16px rgb(0 0 0 / 14%)',
  },
  components: {
    Button: { primaryShadow: 'none', defaultShadow: 'none', fontWeight: 500 },
    Table: { headerBg: GREY.wash, headerColor: GREY.ink, cellPaddingBlock: 10, cellPaddingInline: 10 },
    Form: { itemMarginBottom: 16, labelColor: GREY.ink },
    Segmented: { trackBg: '#e2e2e2' },
    Tag: { defaultBg: GREY.wash, defaultColor: GREY.ink },
    Rate: { starBg: '#b5b5b5' },
  },
}

/** Ant Design at the bench. */
export const benchTheme: ThemeConfig = {
  zeroRuntime: true,
  cssVar: { key: 'fika-bench' },
  algorithm: derivedOnce(),
  token: {
    ...theme.token,
    colorPrimary: DARK.ink,
    colorTextLightSolid: '#141414',
    colorText: DARK.ink,
    colorTextSecondary: DARK.soft,
    colorTextTertiary: DARK.faint,
    colorTextPlaceholder: '#a8a8a8',
    colorTextQuaternary: '#c8c8c8',
    colorIcon: DARK.soft,
    colorBgContainer: DARK.paper,
    colorBgElevated: DARK.wash,
    colorBgLayout: DARK.ground,
    colorBorder: '#7d7d7d',
    colorBorderSecondary: DARK.line,
    colorLink: DARK.ink,
    colorError: DARK.ink,
    colorWarning: DARK.ink,
    colorInfo: DARK.ink,
    colorFillAlter: DARK.wash,
    colorSplit: DARK.line,
    controlItemBgActive: DARK.line,
    controlItemBgHover: '#404040',
  },
  components: {
    Button: {
      primaryShadow: 'none',
      defaultShadow: 'none',
      fontWeight: 600,
      defaultBg: DARK.wash,
      primaryColor: '#141414',
    },
    Select: { optionSelectedBg: DARK.line, optionActiveBg: '#404040' },
    Segmented: {
      trackBg: '#1a1a1a',
      itemColor: '#e0e0e0',
      itemHoverColor: '#ffffff',
      itemHoverBg: '#383838',
      itemSelectedBg: '#4d4d4d',
      itemSelectedColor: '#ffffff',
    },
    Form: { itemMarginBottom: 12, labelColor: DARK.ink },
  },
}
