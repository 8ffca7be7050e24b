import type { Body, MediumKind, Opacity, Sheen, Strength } from '@/core/paint/properties'

/** An invented paint of the demo studio: maker, line, name, pigments, body, opacity, sheen, strength, swatch, ml, price. */
export type DemoPaint = readonly [
  string,
  string,
  string,
  string,
  Body,
  Opacity,
  Sheen,
  Strength,
  string,
  number,
  number,
]

const K = 'Kvarnby Colour'
const S = 'Sallow & Finch'
const T = 'Torvald Works'
const B = 'Bracken Lane'
const N = 'Nimbus Daughters'

export const PAINTS: readonly DemoPaint[] = [
  [K, 'Studio', 'Sluice White', 'PW6', 'soft', 'opaque', 'satin', 'normal', '#f5f3ec', 250, 1450],
  [K, 'Studio', 'Chalk Path', 'PW6 PY42', 'soft', 'opaque', 'matte', 'normal', '#ece2cb', 120, 890],
  [K, 'Studio', 'Ferry Navy', 'PB15:3 PBk7', 'soft', 'opaque', 'satin', 'strong', '#16284a', 120, 990],
  [K, 'Studio', 'Canal Teal', 'PB15:3 PG7', 'soft', 'semi-opaque', 'satin', 'strong', '#136a78', 120, 990],
  [K, 'Studio', 'Lock Gate Green', 'PG7 PY42', 'soft', 'semi-opaque', 'satin', 'normal', '#2e5a3c', 120, 890],
  [K, 'Studio', 'Brick Arch', 'PR101', 'soft', 'opaque', 'matte', 'normal', '#96432e', 120, 790],
  [K, 'Studio', 'Towpath Ochre', 'PY42', 'soft', 'opaque', 'matte', 'normal', '#c08d3a', 120, 790],
  [K, 'Studio', 'Lamp Soot', 'PBk7', 'soft', 'opaque', 'matte', 'very strong', '#1b1b1c', 120, 790],
  [K, 'Studio', 'Winter Barge', 'PB29 PW6', 'soft', 'opaque', 'satin', 'normal', '#5c7bb0', 120, 890],
  [K, 'Studio', 'Mooring Red', 'PR254', 'soft', 'semi-opaque', 'satin', 'normal', '#b9262b', 120, 1190],
  [K, 'Ink', 'Ink Magenta', 'PR122', 'ink', 'transparent', 'gloss', 'very strong', '#8d1b58', 30, 690],
  [K, 'Ink', 'Ink Cyan', 'PB15:4', 'ink', 'transparent', 'gloss', 'very strong', '#0a5a8f', 30, 690],
  [K, 'Ink', 'Ink Gold Lake', 'PY150', 'ink', 'transparent', 'gloss', 'strong', '#c39a12', 30, 690],
  [S, 'Heavy', 'Titan Ridge', 'PW6', 'heavy', 'opaque', 'satin', 'normal', '#f8f7f2', 200, 1690],
  [S, 'Heavy', 'Cobble Blue', 'PB28', 'heavy', 'semi-opaque', 'satin', 'normal', '#1d4ba0', 60, 1890],
  [S, 'Heavy', 'Deep Sluice', 'PB29', 'heavy', 'transparent', 'satin', 'normal', '#232a78', 60, 1090],
  [S, 'Heavy', 'Saffron Sail', 'PY35', 'heavy', 'opaque', 'satin', 'normal', '#f2b50f', 60, 1990],
  [S, 'Heavy', 'Ember Tile', 'PO73', 'heavy', 'semi-opaque', 'satin', 'normal', '#d9561f', 60, 1490],
  [S, 'Heavy', 'Rowan Lake', 'PV19', 'heavy', 'transparent', 'satin', 'strong', '#8e1f3f', 60, 1290],
  [S, 'Heavy', 'Heron Grey', 'PW6 PBk7', 'heavy', 'opaque', 'matte', 'normal', '#8a8d8f', 60, 990],
  [S, 'Heavy', 'Viridian Weir', 'PG18', 'heavy', 'transparent', 'satin', 'normal', '#1f6b57', 60, 1490],
  [S, 'Heavy', 'Plum Shed', 'PV23', 'heavy', 'transparent', 'satin', 'very strong', '#3a1f57', 60, 1290],
  [S, 'Soft', 'Reed', 'PY74 PG36', 'soft', 'semi-opaque', 'satin', 'normal', '#8ba23a', 75, 790],
  [S, 'Soft', 'Pale Quay', 'PW6 PB29', 'soft', 'opaque', 'satin', 'normal', '#c3d2e2', 75, 790],
  [S, 'Soft', 'Rosehip', 'PR170', 'soft', 'semi-opaque', 'satin', 'normal', '#c8333f', 75, 790],
  [S, 'Soft', 'Butter Lamp', 'PY3 PW6', 'soft', 'opaque', 'satin', 'weak', '#f5e28a', 75, 790],
  [S, 'Soft', 'Slate Roof', 'PBk11 PB29', 'soft', 'opaque', 'matte', 'normal', '#3f4a55', 75, 790],
  [T, 'Flow', 'Turquoise Lock', 'PB15:4 PG7', 'fluid', 'semi-transparent', 'gloss', 'strong', '#128a91', 118, 1090],
  [T, 'Flow', 'Indigo Hour', 'PB60', 'fluid', 'transparent', 'gloss', 'strong', '#1e2347', 118, 1290],
  [T, 'Flow', 'Marigold', 'PY83', 'fluid', 'semi-transparent', 'gloss', 'normal', '#e89a12', 118, 1090],
  [T, 'Flow', 'Poppy Cut', 'PR112', 'fluid', 'semi-transparent', 'gloss', 'normal', '#cf2a2a', 118, 1090],
  [T, 'Flow', 'Foam', 'PW6', 'fluid', 'opaque', 'gloss', 'normal', '#fafaf7', 237, 1290],
  [T, 'Flow', 'Peat', 'PBr7', 'fluid', 'semi-transparent', 'gloss', 'normal', '#4b2f20', 118, 990],
  [T, 'Flow', 'Moss Wall', 'PG17', 'fluid', 'semi-opaque', 'gloss', 'normal', '#556b2f', 118, 1090],
  [T, 'Flow', 'Wisteria', 'PV23 PW6', 'fluid', 'semi-opaque', 'gloss', 'normal', '#8d78b8', 118, 1090],
  [T, 'Pour', 'Ready Ivory', 'PW6 PY42', 'ready', 'opaque', 'satin', 'weak', '#f1e8d2', 236, 1190],
  [T, 'Pour', 'Ready Coal', 'PBk7', 'ready', 'opaque', 'satin', 'strong', '#202022', 236, 1190],
  [T, 'Pour', 'Ready Lagoon', 'PB15:3 PW6', 'ready', 'semi-opaque', 'satin', 'normal', '#3b93b5', 236, 1190],
  [T, 'Pour', 'Ready Coral', 'PR188 PW6', 'ready', 'semi-opaque', 'satin', 'normal', '#e8765f', 236, 1190],
  [B, 'Craft', 'Picket White', 'PW6', 'craft', 'opaque', 'matte', 'weak', '#f4f2ea', 236, 420],
  [B, 'Craft', 'Cornflower', 'PB29 PW6', 'craft', 'semi-opaque', 'matte', 'weak', '#5b7fc7', 59, 190],
  [B, 'Craft', 'Barn', 'PR101 PR170', 'craft', 'opaque', 'matte', 'weak', '#8c2f2a', 59, 190],
  [B, 'Craft', 'Hedge', 'PG7 PY74', 'craft', 'semi-opaque', 'matte', 'weak', '#4d7a3b', 59, 190],
  [B, 'Craft', 'Cocoa', 'PBr7', 'craft', 'opaque', 'matte', 'weak', '#5d3b2b', 59, 190],
  [B, 'Craft', 'Lemon Drop', 'PY74', 'craft', 'semi-transparent', 'matte', 'weak', '#f4dc3a', 59, 190],
  [B, 'Craft', 'Seafoam', 'PG7 PW6', 'craft', 'opaque', 'matte', 'weak', '#a9d9c6', 59, 190],
  [B, 'Craft', 'Night Porch', 'PBk7 PB29', 'craft', 'opaque', 'matte', 'normal', '#1d2233', 59, 190],
  [B, 'Shimmer', 'Brass Rail', 'PY42', 'craft', 'semi-opaque', 'metallic', 'weak', '#a98436', 59, 290],
  [B, 'Shimmer', 'Tin Roof', 'PBk7', 'craft', 'semi-opaque', 'metallic', 'weak', '#9a9da1', 59, 290],
  [B, 'Shimmer', 'Copper Kettle', 'PR101', 'craft', 'semi-opaque', 'metallic', 'weak', '#b0663f', 59, 290],
  [N, 'Lustre', 'Pearl Mist', 'PW6', 'fluid', 'semi-transparent', 'pearl', 'weak', '#e9e7ea', 60, 990],
  [N, 'Lustre', 'Oyster Shell', 'PW6 PV19', 'fluid', 'semi-transparent', 'pearl', 'weak', '#e3cfd4', 60, 990],
  [N, 'Lustre', 'Drake Neck', 'PG7', 'fluid', 'semi-transparent', 'colour-shift', 'normal', '#2a6d6a', 60, 1390],
  [N, 'Lustre', 'Magpie Wing', 'PV23', 'fluid', 'semi-transparent', 'colour-shift', 'normal', '#4a3f86', 60, 1390],
  [N, 'Lustre', 'Old Gold', 'PY42', 'soft', 'semi-opaque', 'metallic', 'normal', '#b8912f', 60, 1290],
  [N, 'Lustre', 'Pewter Jug', 'PBk7', 'soft', 'semi-opaque', 'metallic', 'normal', '#7d8084', 60, 1290],
  [N, 'Flash', 'Neon Buoy', 'PO13', 'fluid', 'transparent', 'fluorescent', 'normal', '#ff6a2b', 60, 890],
  [N, 'Flash', 'Neon Rush', 'PR173', 'fluid', 'transparent', 'fluorescent', 'normal', '#ff2f7e', 60, 890],
  [N, 'Flash', 'Star Grit', 'PW6', 'ready', 'transparent', 'glitter', 'weak', '#cfd3da', 60, 790],
  [N, 'Flash', 'Ember Grit', 'PO73', 'ready', 'transparent', 'glitter', 'weak', '#c2653a', 60, 790],
]

/** Invented mediums: maker, line, name, kind, ml, price. */
export const MEDIUMS: readonly (readonly [string, string, string, MediumKind, number, number])[] = [
  [K, '', 'Kvarnby Flow', 'conditioner', 946, 1490],
  [T, '', 'Torvald Gloss 40', 'gloss medium', 946, 2690],
  [T, '', 'Torvald Pouring Base', 'one-bottle base', 2000, 3290],
  [S, '', 'Finch Pouring Medium', 'pouring medium', 946, 2390],
  [S, '', 'Finch Still Film', 'anti-craze medium', 473, 1990],
  [B, '', 'Bracken School Glue', 'glue', 1000, 490],
  [B, '', 'Bracken Soft White', 'enamel or house paint', 1000, 1290],
  [N, '', 'Nimbus Clear', 'clear varnish', 237, 1390],
]

/** The one additive of the demo studio, dosed by drops. */
export const SILICONE = { maker: B, name: 'Bracken Silicone', ml: 50, priceMinor: 690 }
