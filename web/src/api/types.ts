/** Names for the shapes the server sends; all come from its OpenAPI document. */
import type { components } from './schema'

type Schemas = components['schemas']

export type Dessert = Schemas['DessertOut']
export type DessertBrief = Schemas['DessertBrief']
export type DessertEntry = Schemas['DessertIn']
export type Part = Dessert['parts'][number]
export type PartOf<Rule extends Part['rule']> = Extract<Part, { rule: Rule }>
export type Layer = Schemas['Layer']
export type Portions = Dessert['portions']
export type Solved = Schemas['Solved']
export type WorkedOut = Schemas['WorkedOut']
export type SizeEntry = Schemas['SizeIn']
export type SizeInBrief = Schemas['SizeOut']
export type Built = NonNullable<DessertEntry['built']>
export type Stage = Schemas['Stage']
export type Stack = Schemas['StackOut']
export type StackEntry = Schemas['StackIn']
export type PartResult = Schemas['PartResult']
export type Cut = Schemas['Cut']
export type Outline = Schemas['Shape']
export type Dimension = Schemas['Dimension']
export type Finding = Schemas['Finding']
export type Working = Schemas['Working']
export type Formula = Schemas['FormulaOut']
export type FormulaBrief = Schemas['FormulaBrief']
/** `does` is only said of a new one, which takes its kind from it. */
export type FormulaEntry = Omit<Schemas['FormulaIn'], 'does'> & { does?: string }
export type FormulaLine = Schemas['LineOut']
export type Reading = Schemas['ReadingOut']
export type SheetPage = Schemas['SheetOut']
export type ReadLine = Schemas['ReadLine']
export type PastedLine = Schemas['PastedLine']
export type PastedIngredient = Schemas['PastedIngredient']
export type Step = Schemas['Step']
export type Wait = Schemas['Wait']
export type MakeUp = NonNullable<Schemas['IngredientOut']['make_up']>
export type Ingredient = Schemas['IngredientOut']
export type IngredientEntry = Schemas['IngredientIn']
export type Mold = Schemas['MoldOut']
export type MoldEntry = Schemas['MoldIn']
export type MoldShape = Mold['shape']
export type Change = Schemas['ChangeOut']
export type Session = Schemas['SessionOut']
export type Member = Schemas['MemberOut']
export type Role = Schemas['MemberOut']['role']
