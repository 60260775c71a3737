// The names the screens use for the generated types of docs/openapi.yaml.
import type { components } from './schema';

type Schemas = components['schemas'];

export type Amendment = Schemas['Amendment'];
export type AnswerWord = Schemas['AnswerWord'];
export type Attempt = Schemas['Attempt'];
export type Batch = Schemas['Batch'];
export type BatchPass = Schemas['BatchPass'];
export type BatchPiece = Schemas['BatchPiece'];
export type BenchUnit = Schemas['BenchUnit'];
export type Cell = Schemas['Cell'];
export type Certificate = Schemas['Certificate'];
export type CertificateRecord = Schemas['CertificateRecord'];
export type Change = Schemas['Change'];
export type Check = Schemas['Check'];
export type CheckUnit = Schemas['CheckUnit'];
type ClauseOfKind = Schemas['Clause'];
type Field<T> = T extends unknown ? keyof T : never;
type Of<T, K extends PropertyKey> = T extends unknown ? (K extends keyof T ? T[K] : never) : never;
type Widened<T> = T extends string ? string : T extends string[] ? string[] : T;
/** A clause as the editor holds it: the fields of every kind, of which the server takes those of its own. */
export type Clause = { id: string; kind: ClauseOfKind['kind']; scope?: Scope; extent?: Extent } & {
    [K in Exclude<Field<ClauseOfKind>, 'id' | 'kind' | 'scope' | 'extent' | 'limits' | 'aql'>]?: Widened<
        Of<ClauseOfKind, K>
    >;
} & { limits?: Record<string, number>; aql?: Record<string, number> };
export type ComparedRung = Schemas['ComparedRung'];
export type Comparison = Schemas['Comparison'];
export type Consequences = Schemas['Consequences'];
export type Difference = Schemas['Difference'];
export type Edits = Schemas['Edits'];
export type Extent = Schemas['Extent'];
export type FigureArea = Schemas['FigureArea'];
export type Finding = Schemas['Finding'];
export type FoundFault = Schemas['FoundFault'];
export type Ladder = Schemas['Ladder'];
export type Order = Schemas['Order'];
export type OrderBrief = Schemas['OrderBrief'];
export type Person = Schemas['Person'];
export type PieceBrief = Schemas['PieceBrief'];
export type PlanPass = Schemas['PlanPass'];
export type PlanStep = Schemas['PlanStep'];
export type PlannedUse = Schemas['PlannedUse'];
export type Preview = Schemas['Preview'];
export type Question = Schemas['Question'];
export type Row = Schemas['Row'];
export type Scope = {
    [K in Exclude<keyof Schemas['Scope'], 'except'>]?: Widened<NonNullable<Schemas['Scope'][K]>>;
} & { except?: Scope };
export type SchoolChoice = Schemas['SchoolChoice'];
export type Session = Schemas['Session'];
export type Stage = Schemas['Stage'];
export type StandardChange = Schemas['StandardChange'];
export type Technique = Schemas['Technique'];
export type TechniqueUse = Schemas['TechniqueUse'];
export type TierFrame = Schemas['TierFrame'];
export type TierHead = Schemas['TierHead'];
export type UnitBrief = Schemas['UnitBrief'];
export type UnitPlan = Schemas['UnitPlan'];
export type BrokenRule = Schemas['BrokenRule'];
export type Move = Schemas['Move'];
export type PlanComparison = Schemas['PlanComparison'];
export type Raised = Schemas['Raised'];
export type Variant = Schemas['Variant'];
export type PieceKind = Schemas['PieceKind'];
export type PlannedPiece = Schemas['PlannedPiece'];
export type Scheme = Schemas['Scheme'];
export type SchemeTried = Schemas['SchemeTried'];
export type SchemeFigure = Schemas['SchemeFigure'];
export type Slot = Schemas['Slot'];
export type SculptMap = Schemas['SculptMap'];
export type SculptTemplate = Schemas['SculptTemplate'];
export type MapFinding = Schemas['MapFinding'];
export type PaintName = Schemas['PaintName'];
export type Use = Schemas['Use'];
export type Price = Schemas['Price'];
