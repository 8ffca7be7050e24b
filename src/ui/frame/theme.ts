import type { ThemeConfig } from 'antd'

/** True neutral greys only (chroma 0): the paint is the only colour on the screen. */
export const GREY = {
  ink: '#1c1c1c',
  soft: '#4d4d4d',
  faint: '#6b6b6b',
  line: '#cfcfcf',
  wash: '#ececec',
  ground: '#f5f5f5',
  paper: '#ffffff',
} as const

const FONT = "'Atkinson Hyperlegible Next Variable', 'Atkinson Hyperlegible Next', system-ui, sans-serif"

/** Ant Design in Fika's greys: statuses speak by icon and word, so their colours are ink too. */
export const theme: ThemeConfig = {
  zeroRuntime: true,
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
    colorTextQuaternary: '#6b6b6b',
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
  },
}

/** The bench's darker neutral. */
export const benchTheme: ThemeConfig = {
  zeroRuntime: true,
  token: {
    ...theme.token,
    colorPrimary: '#f2f2f2',
    colorTextLightSolid: '#141414',
    colorText: '#f2f2f2',
    colorTextSecondary: '#cfcfcf',
    colorTextTertiary: '#b8b8b8',
    colorTextPlaceholder: '#a8a8a8',
    colorTextQuaternary: '#c8c8c8',
    colorIcon: '#d0d0d0',
    colorBgContainer: '#2b2b2b',
    colorBgElevated: '#333333',
    colorBgLayout: '#1f1f1f',
    colorBorder: '#7d7d7d',
    colorBorderSecondary: '#4a4a4a',
    colorLink: '#f2f2f2',
    colorError: '#f2f2f2',
    colorWarning: '#f2f2f2',
    colorInfo: '#f2f2f2',
    colorFillAlter: '#333333',
    colorSplit: '#4a4a4a',
    controlItemBgActive: '#4a4a4a',
    controlItemBgHover: '#404040',
  },
  components: {
    Button: {
      primaryShadow: 'none',
      defaultShadow: 'none',
      fontWeight: 600,
      defaultBg: '#333333',
      primaryColor: '#141414',
    },
    Select: { optionSelectedBg: '#4a4a4a', optionActiveBg: '#404040' },
    Segmented: {
      trackBg: '#1a1a1a',
      itemColor: '#e0e0e0',
      itemHoverColor: '#ffffff',
      itemHoverBg: '#383838',
      itemSelectedBg: '#4d4d4d',
      itemSelectedColor: '#ffffff',
    },
    Form: { itemMarginBottom: 12, labelColor: '#f2f2f2' },
  },
}
