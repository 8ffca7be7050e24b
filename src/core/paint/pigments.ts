import type { Opacity } from './properties'

/** ASTM lightfastness category: I excellent, II very good, III fair, IV poor, V very poor; '' where none is known. */
export const LIGHTFASTNESS = ['I', 'II', 'III', 'IV', 'V'] as const
export type Lightfastness = (typeof LIGHTFASTNESS)[number]

/** What asks for care in a pigment, beyond the usual gloves and no dust. */
export type Hazard =
  'cadmium' | 'cobalt' | 'nickel' | 'manganese' | 'chromium' | 'lead' | 'antimony' | 'mercury' | 'copper' | 'zinc'

export interface Pigment {
  /** Colour Index generic name, such as PB15:3. */
  readonly name: string
  readonly commonName: string
  readonly chemicalClass: string
  /** Usual opacity of a paint film made with it. */
  readonly opacity: Opacity
  readonly lightfastness: Lightfastness | ''
  /** Specific gravity of the dry pigment, g/cm³. */
  readonly specificGravity: number
  readonly hazards: readonly Hazard[]
}

/** Where each column comes from; the interface shows it beside the value. */
export const PIGMENT_SOURCES: Readonly<Record<keyof Pigment, string>> = {
  name: 'Colour Index generic name',
  commonName: 'common usage, from memory',
  chemicalClass: 'Colour Index constitution, from memory',
  opacity: 'usual opacity of artists’ paints, from memory; the paint’s own drawdown decides',
  lightfastness: 'category on the scale of ASTM D4302 and D5098, from memory; the maker’s own test decides',
  specificGravity: 'pigment handbooks, from memory, rounded',
  hazards: 'metals in the constitution, from memory; the label and safety data sheet decide',
}

/** Hazards that make the dust harmful enough for a caution of its own. */
export const CARE: readonly Hazard[] = [
  'cadmium',
  'cobalt',
  'nickel',
  'manganese',
  'chromium',
  'lead',
  'antimony',
  'mercury',
]

export const HAZARD_NOTES: Readonly<Record<Hazard, string>> = {
  cadmium: 'Cadmium compound: toxic if inhaled or swallowed; never sand or spray.',
  cobalt: 'Cobalt compound: can sensitise; harmful as dust.',
  nickel: 'Holds nickel: can sensitise; harmful as dust.',
  manganese: 'Holds manganese: harmful as dust.',
  chromium: 'Holds chromium: some kinds can sensitise; harmful as dust.',
  lead: 'Lead compound: toxic; not for a shared room.',
  antimony: 'Holds antimony: harmful as dust.',
  mercury: 'Mercury compound: toxic; not for a shared room.',
  copper: 'Holds copper: irritating as dust; harms water life.',
  zinc: 'Holds zinc: harms water life.',
}

type Row = readonly [string, string, string, 'T' | 'ST' | 'SO' | 'O', Lightfastness | '', number, string?]

const ROWS: readonly Row[] = [
  // White
  ['PW1', 'lead white', 'basic lead carbonate', 'SO', 'I', 6.7, 'lead'],
  ['PW4', 'zinc white', 'zinc oxide', 'ST', 'I', 5.6, 'zinc'],
  ['PW5', 'lithopone', 'zinc sulfide with barium sulfate', 'SO', 'I', 4.3, 'zinc'],
  ['PW6', 'titanium white', 'titanium dioxide, rutile', 'O', 'I', 4.2],
  ['PW6:1', 'buff titanium', 'titanium dioxide, unbleached', 'O', 'I', 4.2],
  ['PW7', 'zinc sulfide white', 'zinc sulfide', 'O', 'I', 4.0, 'zinc'],
  ['PW15', 'pearl white, basic', 'bismuth oxychloride', 'ST', 'II', 7.7],
  ['PW18', 'chalk', 'calcium carbonate', 'T', 'I', 2.7],
  ['PW19', 'china clay', 'aluminium silicate', 'T', 'I', 2.6],
  ['PW20', 'mica', 'potassium aluminium silicate', 'T', 'I', 2.8],
  ['PW21', 'blanc fixe', 'barium sulfate, made', 'T', 'I', 4.3],
  ['PW22', 'barytes', 'barium sulfate, natural', 'T', 'I', 4.5],
  ['PW24', 'alumina hydrate', 'aluminium hydroxide', 'T', 'I', 2.4],
  ['PW25', 'gypsum', 'calcium sulfate', 'T', 'I', 2.3],
  ['PW26', 'talc', 'magnesium silicate', 'T', 'I', 2.8],
  ['PW27', 'silica', 'silicon dioxide', 'T', 'I', 2.6],
  // Yellow
  ['PY1', 'arylide yellow G', 'monoazo, acetoacetarylide', 'ST', 'III', 1.5],
  ['PY3', 'arylide yellow 10G', 'monoazo, acetoacetarylide', 'ST', 'II', 1.6],
  ['PY12', 'diarylide yellow AAA', 'disazo, diarylide', 'ST', 'V', 1.4],
  ['PY13', 'diarylide yellow', 'disazo, diarylide', 'T', 'IV', 1.4],
  ['PY14', 'diarylide yellow OT', 'disazo, diarylide', 'ST', 'IV', 1.4],
  ['PY17', 'diarylide yellow AO', 'disazo, diarylide', 'T', 'III', 1.4],
  ['PY31', 'lemon barium yellow', 'barium chromate', 'SO', 'I', 4.5, 'chromium'],
  ['PY34', 'chrome yellow', 'lead chromate', 'O', 'I', 5.9, 'lead chromium'],
  ['PY35', 'cadmium yellow', 'cadmium zinc sulfide', 'O', 'I', 4.5, 'cadmium'],
  ['PY35:1', 'cadmium-barium yellow', 'cadmium zinc sulfide with barium sulfate', 'O', 'I', 4.3, 'cadmium'],
  ['PY36', 'zinc yellow', 'zinc chromate', 'SO', 'II', 3.5, 'chromium zinc'],
  ['PY37', 'cadmium yellow deep', 'cadmium sulfide', 'O', 'I', 4.7, 'cadmium'],
  ['PY40', 'aureolin', 'potassium cobaltinitrite', 'T', 'II', 2.5, 'cobalt'],
  ['PY41', 'Naples yellow', 'lead antimonate', 'O', 'I', 6.0, 'lead antimony'],
  ['PY42', 'yellow iron oxide', 'hydrated iron oxide, made', 'SO', 'I', 4.1],
  ['PY43', 'yellow ochre', 'hydrated iron oxide, natural', 'SO', 'I', 3.8],
  ['PY53', 'nickel titanate yellow', 'nickel antimony titanium rutile', 'O', 'I', 4.4, 'nickel antimony'],
  ['PY55', 'diarylide yellow PT', 'disazo, diarylide', 'T', 'IV', 1.4],
  ['PY65', 'arylide yellow RN', 'monoazo, acetoacetarylide', 'SO', 'II', 1.5],
  ['PY73', 'arylide yellow GX', 'monoazo, acetoacetarylide', 'ST', 'II', 1.5],
  ['PY74', 'arylide yellow 5GX', 'monoazo, acetoacetarylide', 'SO', 'II', 1.5],
  ['PY75', 'arylide yellow RX', 'monoazo, acetoacetarylide', 'SO', 'III', 1.5],
  ['PY83', 'diarylide yellow HR', 'disazo, diarylide', 'T', 'II', 1.5],
  ['PY95', 'disazo condensation yellow GR', 'disazo condensation', 'ST', 'II', 1.4],
  ['PY97', 'arylide yellow FGL', 'monoazo, acetoacetarylide', 'ST', 'II', 1.5],
  ['PY100', 'tartrazine lake', 'monoazo, pyrazolone lake', 'T', 'V', 1.9],
  ['PY109', 'isoindolinone yellow 2GLT', 'isoindolinone', 'ST', 'II', 1.8],
  ['PY110', 'isoindolinone yellow 3RLT', 'isoindolinone', 'T', 'I', 1.8],
  ['PY117', 'azomethine yellow', 'copper azomethine complex', 'T', 'I', 1.6, 'copper'],
  ['PY119', 'zinc iron yellow', 'zinc ferrite', 'O', 'I', 5.1, 'zinc'],
  ['PY120', 'benzimidazolone yellow H2G', 'monoazo, benzimidazolone', 'ST', 'II', 1.5],
  ['PY128', 'disazo condensation yellow 8G', 'disazo condensation', 'T', 'I', 1.5],
  ['PY129', 'azomethine green-gold', 'copper azomethine complex', 'T', 'I', 1.7, 'copper'],
  ['PY138', 'quinophthalone yellow', 'quinophthalone', 'SO', 'II', 1.8],
  ['PY139', 'isoindoline yellow', 'isoindoline', 'SO', 'II', 1.7],
  ['PY150', 'nickel azo yellow', 'nickel azo complex', 'T', 'I', 1.9, 'nickel'],
  ['PY151', 'benzimidazolone yellow H4G', 'monoazo, benzimidazolone', 'SO', 'I', 1.6],
  ['PY153', 'nickel dioxine yellow', 'nickel dioxine complex', 'T', 'II', 1.7, 'nickel'],
  ['PY154', 'benzimidazolone yellow H3G', 'monoazo, benzimidazolone', 'ST', 'I', 1.6],
  ['PY155', 'disazo yellow', 'disazo, bisacetoacetarylide', 'SO', 'II', 1.4],
  ['PY159', 'zirconium yellow', 'zircon praseodymium', 'SO', 'I', 4.5],
  ['PY164', 'manganese titanium brown', 'manganese antimony titanium rutile', 'O', 'I', 4.6, 'manganese antimony'],
  ['PY175', 'benzimidazolone yellow H6G', 'monoazo, benzimidazolone', 'ST', 'I', 1.5],
  ['PY184', 'bismuth yellow', 'bismuth vanadate', 'O', 'I', 6.0],
  ['PY216', 'solar yellow', 'tin zinc titanium rutile', 'O', 'I', 4.9, 'zinc'],
  // Orange
  ['PO5', 'hansa orange', 'monoazo, beta-naphthol', 'SO', 'III', 1.5],
  ['PO13', 'pyrazolone orange', 'disazo, pyrazolone', 'ST', 'IV', 1.4],
  ['PO16', 'dianisidine orange', 'disazo, diarylide', 'SO', 'IV', 1.4],
  ['PO20', 'cadmium orange', 'cadmium sulfoselenide', 'O', 'I', 4.8, 'cadmium'],
  ['PO34', 'diarylide orange', 'disazo, pyrazolone', 'ST', 'III', 1.4],
  ['PO36', 'benzimidazolone orange HL', 'monoazo, benzimidazolone', 'SO', 'I', 1.6],
  ['PO43', 'perinone orange', 'perinone', 'SO', 'I', 1.5],
  ['PO48', 'quinacridone gold', 'quinacridone', 'T', 'I', 1.5],
  ['PO49', 'quinacridone deep gold', 'quinacridone', 'T', 'I', 1.5],
  ['PO62', 'benzimidazolone orange H5G', 'monoazo, benzimidazolone', 'SO', 'II', 1.5],
  ['PO64', 'benzimidazolone orange GP', 'monoazo, benzimidazolone', 'ST', 'I', 1.6],
  ['PO67', 'pyrazoloquinazolone orange', 'monoazo, pyrazoloquinazolone', 'SO', 'II', 1.6],
  ['PO71', 'transparent pyrrole orange', 'diketopyrrolopyrrole', 'T', 'I', 1.4],
  ['PO73', 'pyrrole orange', 'diketopyrrolopyrrole', 'SO', 'I', 1.3],
  // Red
  ['PR2', 'naphthol red FRR', 'monoazo, naphthol AS', 'SO', 'III', 1.5],
  ['PR3', 'toluidine red', 'monoazo, beta-naphthol', 'SO', 'III', 1.4],
  ['PR4', 'chlorinated para red', 'monoazo, beta-naphthol', 'SO', 'IV', 1.5],
  ['PR5', 'naphthol carmine FB', 'monoazo, naphthol AS', 'ST', 'II', 1.4],
  ['PR7', 'naphthol AS-TR red', 'monoazo, naphthol AS', 'SO', 'I', 1.5],
  ['PR9', 'naphthol AS-OL red', 'monoazo, naphthol AS', 'SO', 'II', 1.4],
  ['PR12', 'naphthol bordeaux', 'monoazo, naphthol AS', 'T', 'III', 1.4],
  ['PR14', 'naphthol dark red', 'monoazo, naphthol AS', 'ST', 'III', 1.4],
  ['PR23', 'naphthol crimson', 'monoazo, naphthol AS', 'ST', 'III', 1.4],
  ['PR48:2', 'permanent red 2B', 'monoazo lake, calcium', 'ST', 'IV', 1.6],
  ['PR49:1', 'lithol red', 'monoazo lake, barium', 'SO', 'V', 1.7],
  ['PR53:1', 'red lake C', 'monoazo lake, barium', 'SO', 'V', 1.7],
  ['PR57:1', 'lithol rubine', 'monoazo lake, calcium', 'T', 'IV', 1.6],
  ['PR81', 'rhodamine lake', 'triarylmethane lake', 'T', 'V', 2.1],
  ['PR83', 'alizarin crimson', 'anthraquinone lake', 'T', 'IV', 1.6],
  ['PR88', 'thioindigo violet', 'thioindigoid', 'SO', 'II', 1.9],
  ['PR101', 'red iron oxide', 'iron oxide, made', 'O', 'I', 5.1],
  ['PR102', 'red ochre', 'iron oxide, natural', 'O', 'I', 4.8],
  ['PR104', 'chrome orange', 'lead chromate molybdate', 'O', 'II', 5.6, 'lead chromium'],
  ['PR106', 'vermilion', 'mercuric sulfide', 'O', 'III', 8.1, 'mercury'],
  ['PR108', 'cadmium red', 'cadmium sulfoselenide', 'O', 'I', 4.7, 'cadmium'],
  ['PR112', 'naphthol red AS-D', 'monoazo, naphthol AS', 'SO', 'II', 1.4],
  ['PR113', 'cadmium vermilion', 'cadmium mercury sulfide', 'O', 'I', 4.8, 'cadmium mercury'],
  ['PR122', 'quinacridone magenta', 'quinacridone', 'T', 'I', 1.5],
  ['PR123', 'perylene vermilion', 'perylene', 'ST', 'II', 1.5],
  ['PR144', 'disazo condensation red BR', 'disazo condensation', 'SO', 'II', 1.5],
  ['PR146', 'naphthol carmine FBB', 'monoazo, naphthol AS', 'ST', 'III', 1.4],
  ['PR149', 'perylene red BL', 'perylene', 'ST', 'I', 1.4],
  ['PR166', 'disazo condensation scarlet', 'disazo condensation', 'SO', 'II', 1.5],
  ['PR168', 'brominated anthanthrone', 'anthanthrone', 'SO', 'I', 2.0],
  ['PR170', 'naphthol red AS', 'monoazo, naphthol AS', 'SO', 'II', 1.4],
  ['PR173', 'fluorescent rose', 'rhodamine lake in resin', 'T', 'V', 1.4],
  ['PR175', 'benzimidazolone maroon', 'monoazo, benzimidazolone', 'T', 'I', 1.5],
  ['PR176', 'benzimidazolone carmine HF3C', 'monoazo, benzimidazolone', 'ST', 'I', 1.4],
  ['PR177', 'anthraquinone red', 'anthraquinone', 'T', 'II', 1.5],
  ['PR178', 'perylene red', 'perylene', 'ST', 'I', 1.5],
  ['PR179', 'perylene maroon', 'perylene', 'T', 'I', 1.5],
  ['PR185', 'benzimidazolone carmine HF4C', 'monoazo, benzimidazolone', 'ST', 'II', 1.5],
  ['PR187', 'naphthol carmine', 'monoazo, naphthol AS', 'T', 'II', 1.4],
  ['PR188', 'naphthol scarlet', 'monoazo, naphthol AS', 'SO', 'I', 1.5],
  ['PR202', 'quinacridone magenta B', 'quinacridone', 'T', 'I', 1.6],
  ['PR206', 'quinacridone burnt scarlet', 'quinacridone', 'T', 'I', 1.5],
  ['PR207', 'quinacridone scarlet', 'quinacridone', 'ST', 'I', 1.5],
  ['PR209', 'quinacridone coral', 'quinacridone', 'T', 'I', 1.5],
  ['PR214', 'disazo condensation red', 'disazo condensation', 'ST', 'II', 1.5],
  ['PR224', 'perylene red violet', 'perylene', 'T', 'II', 1.6],
  ['PR233', 'potter’s pink', 'chromium tin sphene', 'ST', 'I', 4.8, 'chromium'],
  ['PR242', 'disazo scarlet', 'disazo condensation', 'SO', 'II', 1.5],
  ['PR254', 'pyrrole red', 'diketopyrrolopyrrole', 'SO', 'I', 1.6],
  ['PR255', 'pyrrole scarlet', 'diketopyrrolopyrrole', 'SO', 'I', 1.4],
  ['PR259', 'ultramarine pink', 'sodium aluminium sulfosilicate', 'ST', 'I', 2.3],
  ['PR260', 'isoindoline red', 'isoindoline', 'ST', 'II', 1.5],
  ['PR264', 'pyrrole rubine', 'diketopyrrolopyrrole', 'T', 'I', 1.4],
  // Violet
  ['PV1', 'rhodamine violet lake', 'xanthene lake', 'T', 'V', 2.2],
  ['PV3', 'methyl violet lake', 'triarylmethane lake', 'T', 'V', 1.9],
  ['PV14', 'cobalt violet', 'cobalt phosphate', 'ST', 'I', 3.6, 'cobalt'],
  ['PV15', 'ultramarine violet', 'sodium aluminium sulfosilicate', 'ST', 'I', 2.3],
  ['PV16', 'manganese violet', 'manganese ammonium pyrophosphate', 'ST', 'I', 2.8, 'manganese'],
  ['PV19', 'quinacridone violet or rose', 'quinacridone', 'T', 'I', 1.5],
  ['PV23', 'dioxazine violet', 'dioxazine', 'T', 'II', 1.5],
  ['PV29', 'perylene violet', 'perylene', 'T', 'I', 1.5],
  ['PV32', 'benzimidazolone bordeaux', 'monoazo, benzimidazolone', 'T', 'II', 1.5],
  ['PV37', 'dioxazine violet, blue shade', 'dioxazine', 'T', 'II', 1.5],
  ['PV42', 'quinacridone maroon', 'quinacridone', 'T', 'I', 1.5],
  ['PV49', 'cobalt ammonium violet', 'cobalt ammonium phosphate', 'ST', 'I', 2.9, 'cobalt'],
  ['PV55', 'quinacridone purple', 'quinacridone', 'T', 'I', 1.5],
  // Blue
  ['PB1', 'Victoria blue lake', 'triarylmethane lake', 'T', 'V', 1.9],
  ['PB15', 'phthalocyanine blue', 'copper phthalocyanine', 'T', 'I', 1.6, 'copper'],
  ['PB15:1', 'phthalocyanine blue, red shade', 'copper phthalocyanine, alpha', 'T', 'I', 1.6, 'copper'],
  ['PB15:2', 'phthalocyanine blue, steady red shade', 'copper phthalocyanine, alpha', 'T', 'I', 1.6, 'copper'],
  ['PB15:3', 'phthalocyanine blue, green shade', 'copper phthalocyanine, beta', 'T', 'I', 1.6, 'copper'],
  ['PB15:4', 'phthalocyanine blue, steady green shade', 'copper phthalocyanine, beta', 'T', 'I', 1.6, 'copper'],
  ['PB15:6', 'phthalocyanine blue, reddest', 'copper phthalocyanine, epsilon', 'T', 'I', 1.6, 'copper'],
  ['PB16', 'phthalocyanine turquoise', 'phthalocyanine, metal-free', 'T', 'I', 1.4],
  ['PB17', 'phthalocyanine cyan lake', 'copper phthalocyanine lake', 'T', 'II', 1.7, 'copper'],
  ['PB27', 'Prussian blue', 'iron ferrocyanide', 'T', 'I', 1.8],
  ['PB28', 'cobalt blue', 'cobalt aluminate', 'SO', 'I', 4.2, 'cobalt'],
  ['PB29', 'ultramarine blue', 'sodium aluminium sulfosilicate', 'T', 'I', 2.35],
  ['PB31', 'Egyptian blue', 'calcium copper silicate', 'ST', 'I', 3.0, 'copper'],
  ['PB33', 'manganese blue', 'barium manganate', 'T', 'I', 4.8, 'manganese'],
  ['PB35', 'cerulean blue', 'cobalt stannate', 'SO', 'I', 4.8, 'cobalt'],
  ['PB36', 'cobalt turquoise', 'cobalt chromium aluminate', 'SO', 'I', 4.6, 'cobalt chromium'],
  ['PB60', 'indanthrone blue', 'anthraquinone, indanthrone', 'T', 'I', 1.5],
  ['PB66', 'indigo', 'indigoid', 'ST', 'III', 1.4],
  ['PB72', 'cobalt zinc blue', 'cobalt zinc aluminate', 'SO', 'I', 4.3, 'cobalt zinc'],
  ['PB74', 'cobalt zinc silicate blue', 'cobalt zinc silicate', 'ST', 'I', 4.0, 'cobalt zinc'],
  // Green
  ['PG7', 'phthalocyanine green, blue shade', 'copper phthalocyanine, chlorinated', 'T', 'I', 2.0, 'copper'],
  ['PG8', 'Hooker’s green lake', 'nitroso iron complex', 'ST', 'III', 1.5],
  ['PG10', 'nickel azo green-gold', 'nickel azo complex', 'T', 'I', 1.8, 'nickel'],
  ['PG17', 'chromium oxide green', 'chromium oxide', 'O', 'I', 5.2, 'chromium'],
  ['PG18', 'viridian', 'hydrated chromium oxide', 'T', 'I', 3.3, 'chromium'],
  ['PG19', 'cobalt green', 'cobalt zinc oxide', 'SO', 'I', 5.3, 'cobalt zinc'],
  ['PG23', 'green earth', 'iron silicate, natural', 'T', 'I', 2.6],
  ['PG26', 'cobalt chromite green', 'cobalt chromite', 'O', 'I', 5.0, 'cobalt chromium'],
  ['PG36', 'phthalocyanine green, yellow shade', 'copper phthalocyanine, brominated', 'T', 'I', 2.8, 'copper'],
  ['PG50', 'cobalt titanate green', 'cobalt nickel titanate', 'O', 'I', 4.8, 'cobalt nickel'],
  // Brown
  ['PBr6', 'brown iron oxide', 'iron oxides, mixed', 'SO', 'I', 4.9],
  ['PBr7', 'sienna and umber', 'iron oxide, natural; umbers hold manganese', 'ST', 'I', 3.7, 'manganese'],
  ['PBr8', 'manganese brown', 'manganese oxide', 'O', 'I', 5.0, 'manganese'],
  ['PBr23', 'disazo brown', 'disazo condensation', 'ST', 'II', 1.5],
  ['PBr24', 'chrome titanate yellow', 'chromium antimony titanium rutile', 'O', 'I', 4.5, 'chromium antimony'],
  ['PBr25', 'benzimidazolone brown', 'monoazo, benzimidazolone', 'T', 'I', 1.5],
  ['PBr29', 'iron chrome brown', 'iron chromite', 'O', 'I', 5.1, 'chromium'],
  ['PBr41', 'disazo brown, red', 'disazo condensation', 'T', 'II', 1.5],
  // Black
  ['PBk1', 'aniline black', 'azine', 'O', 'II', 1.4],
  ['PBk6', 'lamp black', 'carbon', 'O', 'I', 1.8],
  ['PBk7', 'carbon black', 'carbon', 'O', 'I', 1.8],
  ['PBk8', 'vine black', 'carbon, from plants', 'SO', 'I', 1.8],
  ['PBk9', 'bone black', 'carbon with calcium phosphate', 'SO', 'I', 2.3],
  ['PBk10', 'graphite', 'carbon, crystalline', 'O', 'I', 2.2],
  ['PBk11', 'mars black', 'iron oxide, black', 'O', 'I', 5.0],
  ['PBk26', 'spinel black', 'manganese ferrite', 'O', 'I', 5.0, 'manganese'],
  ['PBk28', 'copper chrome black', 'copper chromite', 'O', 'I', 5.4, 'copper chromium'],
  ['PBk31', 'perylene black-green', 'perylene', 'T', 'I', 1.4],
  ['PBk32', 'perylene black', 'perylene', 'T', 'I', 1.4],
  // Metal
  ['PM1', 'aluminium', 'aluminium flake', 'O', 'I', 2.7],
  ['PM2', 'bronze, gold and copper powder', 'copper zinc alloy flake', 'O', 'II', 8.3, 'copper zinc'],
  ['PM5', 'iron', 'iron flake', 'O', 'II', 7.9],
  ['PM6', 'zinc', 'zinc dust', 'O', 'II', 7.1, 'zinc'],
]

const OPACITY: Readonly<Record<Row[3], Opacity>> = {
  T: 'transparent',
  ST: 'semi-transparent',
  SO: 'semi-opaque',
  O: 'opaque',
}

/** Pigments by Colour Index generic name, in the order of white, colours, brown, black, metal. */
export const PIGMENTS: readonly Pigment[] = ROWS.map(
  ([name, commonName, chemicalClass, opacity, lightfastness, specificGravity, hazards]) => ({
    name,
    commonName,
    chemicalClass,
    opacity: OPACITY[opacity],
    lightfastness,
    specificGravity,
    hazards: (hazards?.split(' ') ?? []) as Hazard[],
  }),
)
const BY_NAME = new Map(PIGMENTS.map((p) => [p.name, p]))

/** A pigment of the reference; a numbered kind that is not in it (PB15:5) falls back to its plain name. */
export const pigment = (name: string): Pigment | undefined => BY_NAME.get(name) ?? BY_NAME.get(name.split(':')[0]!)

/**
 * Effect pigments have no generic name of their own: they are flakes named by what they are made of.
 * Common practice, no published source.
 */
export const EFFECT_PIGMENTS: readonly { name: string; of: readonly string[]; effect: string }[] = [
  { name: 'pearl mica', of: ['PW20', 'PW6'], effect: 'pearl: mica coated thinly with titanium white' },
  { name: 'interference mica', of: ['PW20', 'PW6'], effect: 'colour-shift: a thicker coat that turns with the light' },
  { name: 'gold mica', of: ['PW20', 'PW6', 'PR101'], effect: 'metallic: mica with titanium white and iron oxide' },
  { name: 'bronze mica', of: ['PW20', 'PR101'], effect: 'metallic: mica with iron oxide' },
  { name: 'graphite mica', of: ['PW20', 'PBk10'], effect: 'metallic: mica with graphite' },
]

/** The effect pigment a paint's pigments spell, if any: mica and every part of it, nothing else but colour. */
export function effectPigment(names: readonly string[]): string | undefined {
  const found = EFFECT_PIGMENTS.filter((e) => e.of.every((n) => names.includes(n)))
  return found.sort((a, b) => b.of.length - a.of.length)[0]?.effect
}

/** Hazards of a set of pigments, each once. */
export const hazardsOf = (names: readonly string[]): Hazard[] => [
  ...new Set(names.flatMap((n) => pigment(n)?.hazards ?? [])),
]

/** Whether any of the pigments asks for care of its own: its dust is harmful. */
export const needsPigmentCare = (names: readonly string[]) => hazardsOf(names).some((h) => CARE.includes(h))

/** The weakest lightfastness among pigments of a paint: it fades as its weakest part does; '' where one is unknown. */
export function lightfastnessOf(names: readonly string[]): Lightfastness | '' {
  const each = names.map((n) => pigment(n)?.lightfastness ?? '')
  if (each.length === 0 || each.includes('')) return ''
  return LIGHTFASTNESS[Math.max(...each.map((l) => LIGHTFASTNESS.indexOf(l as Lightfastness)))]!
}
