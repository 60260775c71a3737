export type Role = 'lead' | 'painter' | 'desk';
export type Extent = 'spot' | 'prominent' | 'full';
export type Stage = 'planned' | 'on_bench' | 'offered' | 'rework' | 'passed' | 'signed' | 'delivered' | 'on_hold' | 'lost' | 'cancelled';

export interface Person { id: number; name: string; role: Role; may_sign: boolean; can: string[]; sees_money: boolean }
export interface Session { person: Person | null; demo: { name: string; email: string; role: Role; may_sign: boolean; password: string }[] }

export interface Scope { rank?: string[]; material?: string[]; relief?: string[]; role?: string[]; size?: string[]; facing?: string[]; area?: string[]; focus_min?: number; except?: Scope }
export interface Clause {
    id: string; kind: string; scope?: Scope; label?: string; client_text?: string; severity?: string;
    min?: number; max?: number | null; effect?: string | string[]; extent?: Extent; passes?: number; by?: string[];
    technique?: string; family?: string; status?: string; price?: string; criterion?: string; limit?: number; size?: string[];
}
export interface Cell { tier: string; own: boolean; as_before: boolean; words: string; revision: number; clause: Clause | null; extent: Extent | null; passes: number | null; status: string | null }
export interface Row { suffix: string; group: string; label: string; cells: Cell[] }
export interface TierHead { key: string; name: string; order: number; status: 'offered' | 'retired' | 'open'; intent: string; pace: string; distance_cm: number; extends: string | null }
export interface Finding { kind: string; tier: string; clauses: string[]; why: string; change: string }
export interface Ladder {
    name: string;
    version: { number: number; status: 'draft' | 'published'; revision: number; note: string | null; sha256: string | null; published_at: string | null };
    published: { number: number; published_at: string | null } | null;
    currency: string; tiers: TierHead[]; rows: Row[];
    techniques: { key: string; name: string; family: string; whole: boolean; effects: string[] }[];
    lint: Finding[]; sculpts: { slug: string; name: string; role: string }[]; editable: boolean;
}
export interface Attempt {
    sculpt: string; tier: string; before: number; after: number; ceiling: number | null; price: { low: string; high: string | null; currency: string } | null;
    changes: { change: string; area: string | null; subject: string }[]; areas: { area: string; before: number | null; after: number | null }[];
    conflicts: { area: string | null; clauses: string[]; reason: string }[]; lint: Finding[]; open_units: number;
}

export interface PieceBrief { id: number; number: number; code: string; stage: Stage }
export interface UnitBrief { id: number; sculpt: string; tier: string; tier_name: string; label: string | null; released: boolean; pieces: PieceBrief[] }
export interface OrderBrief { id: number; number: string; client: string; title: string; status: string; due_on: string | null; late: boolean; standard_version: number; units: UnitBrief[] }
export interface Order extends OrderBrief {
    brief: string | null; method: Record<string, unknown> | null; scheme: string | null; currency: string;
    unit_plans: { unit: number; spent: number; minutes: number; setup: number; conflicts: number; price: { low: string; high: string | null } | null }[];
    tiers: { key: string; name: string; order: number; status: TierHead['status'] }[]; sculpts: { slug: string; name: string }[];
}

export interface FigureArea { key: string; no: number; name: string; material: string; relief: string[]; rank: string; focus: number; layer: number; outline: { front?: [number, number][][]; back?: [number, number][][] }; paint: string | null; colour: string | null }
export interface PlannedUse { technique: string; passes: number; extent: Extent; minutes: number }
export interface PlanStep { no: number; area: string | null; technique: string; pass: number; extent: Extent; minutes: number; dry: number; colour: { paint: string; mixed_with: string | null; hex: string | null } | null; because: string[]; order_because: string[] }
export interface PlanPass { no: number; technique: string; paint: string | null; areas: string[]; minutes: number; dry: number; steps: number[] }
export interface PlanRequirement { area: string | null; kind: string; subject: string; extent: Extent | null; passes: number | null; by: string[] | null; limit: { min: number | null; max: number | null } | null; clauses: string[]; severity: string | null; state: 'met' | 'short' | 'over' | 'conflict' | null; off_by: number; reason: string | null }
export interface PlanDocument {
    areas: { area: string; minutes: number | null; grade_bar: number; relaxed: boolean; techniques: PlannedUse[] }[];
    whole: PlannedUse[]; passes: PlanPass[]; steps: PlanStep[]; requirements: PlanRequirement[];
    surplus: { step: number; beyond: boolean; minutes: number }[];
    warnings: { kind: string; area: string | null; rules: string[]; text: string }[];
    conflicts: { area: string | null; clauses: string[]; reason: string }[];
    not_applicable: { area: string | null; subject: string; clauses: string[]; reason: string }[];
    totals: { by_area: number; by_passes: number; setup: number; drying_chain: number; waiting: number };
}
export interface TechniqueCard { key: string; name: string; family: string; max_passes: number; purpose: string; how: string; consistency: string; tools: string; good: string; caution: string | null; areas: Record<string, { allowed: boolean; minutes: number }> }
export type Edits = Record<string, { technique: string; passes: number; extent: Extent }[]>;
export interface UnitPlan {
    unit: { id: number; order: number; order_number: string; sculpt: string; tier: { key: string; name: string; order: number; status: TierHead['status'] }; standard_version: number; count: number; released: boolean; revision: number; edits: Edits; frame_mm: [number, number] };
    figure: FigureArea[]; plan: PlanDocument; techniques: TechniqueCard[]; clauses: Record<string, string>; rules: Record<string, string>; editable: boolean;
}

export interface BenchUnit { id: number; order_number: string; title: string; due_on: string | null; sculpt: string; tier: string; steps: number; passes: number; pieces: (PieceBrief & { done: number })[] }
export interface BatchPass { no: number; technique: string; areas: string[]; paint: string | null; hex: string | null; extent: Extent; minutes: number; dry: number; steps: string[]; how: string; consistency: string; tools: string; good: string; caution: string | null }
export interface BatchPiece extends PieceBrief { done: string[]; repairs: { key: string; technique: string; area: string | null; minutes: number }[] }
export interface Batch { unit: { id: number; order_number: string; title: string; sculpt: string; tier: string; frame_mm: [number, number] }; figure: FigureArea[]; passes: BatchPass[]; pieces: BatchPiece[] }

export interface CheckUnit { id: number; order_number: string; title: string; sculpt: string; tier: string; standard_version: number; pieces: (PieceBrief & { rounds: number; open_check: number | null })[] }
export interface Question { key: string; view: string | null; text: string; areas: string[]; clauses: string[]; faults: string[]; mandatory: boolean; severity: string | null; notice: number }
export type AnswerWord = 'yes' | 'fault' | 'not_seen' | 'not_applicable';
export interface FoundFault { id: number; question: string; fault: string; name: string; area: string | null; spread: 'spot' | 'patch' | 'whole'; size_mm: number | null; severity: 'critical' | 'major' | 'minor' | 'note'; why: string; repair: { technique: string; area: string | null; minutes: number; why: string }[] }
export interface Check {
    id: number; round: number; closed: boolean; verdict: 'passed' | 'rework' | 'accepted' | null; reason: string | null;
    unit: { id: number; order: number; order_number: string; sculpt: string; tier: string; distance_cm: number; standard_version: number; frame_mm: [number, number]; pieces: PieceBrief[] };
    piece: PieceBrief & { painters: string[] }; figure: FigureArea[]; questions: Question[]; clauses: Record<string, string>;
    answers: { question: string; answer: AnswerWord; note: string | null; by: string }[]; faults: FoundFault[];
    fault_kinds: { key: string; name: string; looks: string; how_to_see: string; by_size: boolean; whole: boolean }[];
    verdict_so_far: { passes: boolean; words: string; open: string[]; counted: Record<string, number>; minor_limit: number };
    may: { answer: boolean; accept: boolean; sign: boolean };
}

export interface CertificateRecord {
    number: number; signed_at: string; kind: string; by: { id: number; name: string };
    standard?: { name: string; version: number; sha256: string }; tier?: { key: string; name: string }; order?: { number: string; client: string; title: string }; sculpt?: string;
    requirements?: { area: string | null; kind: string; subject: string; extent: string; passes: number; clauses: string[] }[];
    pieces: { code: string; number: number; rule?: string; painters?: string[]; checks?: { round: number; verdict: string; reason: string | null; closed_at: string; answers: { question: string; answer: string; by: string }[]; faults: { fault: string; area: string | null; severity: string; why: string }[] }[] }[];
    of?: { number: number; hash: string }; reason?: string;
}
export interface Certificate { number: number; kind: 'sign_off' | 'withdrawal'; hash: string; previous: string; signed_at: string; record: CertificateRecord; withdrawn_by: number | null; may_withdraw: boolean }
