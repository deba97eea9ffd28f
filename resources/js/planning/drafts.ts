import type { Schemas } from '@/api/client';

export type PlanKind = Schemas['PlanKind'];

/** What somebody wants planned, as it is typed. Lengths are texts: `8`, `3/8`, `15 thou`. */
export interface HoleDraft {
  machine: string;
  cribs: string[];
  material: string;
  thickness: string;
  purpose: 'plain' | 'clearance' | 'tapped' | 'reamed' | 'bored' | 'countersunk' | 'counterbored' | 'spotfaced';
  head: string;
  size: string;
  fit: string;
  reamer: string;
  tapping: string;
  slope: string;
  through: boolean;
  depth: string;
  position_tolerance: string;
  holding: string;
  lever: string;
  work_diameter: string;
  work_width: string;
  overhang: string;
  support: string;
}

export interface LayoutDraft {
  length: string;
  width: string;
  hole: string;
  datum: 'corner' | 'centre';
  pattern: 'line' | 'circle' | 'rectangle' | 'points';
  by: 'count' | 'pitch';
  count: string;
  rows: string;
  pitch: string;
  pitch_y: string;
  inset: string;
  inset_y: string;
  offset: string;
  circle: string;
  start_deg: string;
  centre_x: string;
  centre_y: string;
  middle: boolean;
  points: string;
  setting: 'rule' | 'stack' | 'readout';
  graduation: string;
  crib: string;
}

export interface LatheDraft {
  machine: string;
  cribs: string[];
  material: string;
  bar: string;
  thickness: string;
  outside: string;
  bore_purpose: 'none' | 'plain' | 'clearance' | 'tapped' | 'reamed' | 'bored';
  bore_size: string;
  bore_fit: string;
  bore_reamer: string;
  bore_through: boolean;
  bore_depth: string;
  count: string;
  part_off: boolean;
  support_centre: boolean;
  support: string;
  overhang: string;
  blade: string;
  cleanup: string;
  facing: string;
  jaw_clearance: string;
  max_cut: string;
  finish_cut: string;
  learners: string;
  kerf: string;
}

export interface Drafts {
  hole: HoleDraft;
  layout: LayoutDraft;
  lathe: LatheDraft;
}

/** A worked example to begin with: nothing is harder to start from than an empty form. */
export const BEGINNINGS: Drafts = {
  hole: {
    machine: '',
    cribs: [],
    material: 'mild_steel',
    thickness: '8 mm',
    purpose: 'clearance',
    size: 'M8',
    fit: '',
    reamer: '',
    tapping: '',
    slope: '',
    through: true,
    depth: '',
    position_tolerance: '',
    head: '',
    holding: '',
    lever: '',
    work_diameter: '',
    work_width: '',
    overhang: '',
    support: '',
  },
  layout: {
    length: '100 mm',
    width: '80 mm',
    hole: '9 mm',
    datum: 'corner',
    pattern: 'rectangle',
    by: 'count',
    count: '2',
    rows: '2',
    pitch: '40 mm',
    pitch_y: '30 mm',
    inset: '15 mm',
    inset_y: '15 mm',
    offset: '',
    circle: '50 mm',
    start_deg: '',
    centre_x: '',
    centre_y: '',
    middle: false,
    points: '',
    setting: 'rule',
    graduation: '0.5 mm',
    crib: '',
  },
  lathe: {
    machine: '',
    cribs: [],
    material: 'nylon',
    bar: '28 mm',
    thickness: '5 mm',
    outside: '26 mm',
    bore_purpose: 'plain',
    bore_size: '9 mm',
    bore_fit: '',
    bore_reamer: '',
    bore_through: true,
    bore_depth: '',
    count: '6',
    part_off: true,
    support_centre: false,
    support: '',
    overhang: '',
    blade: '2 mm',
    cleanup: '0.2 mm',
    facing: '1 mm',
    jaw_clearance: '5 mm',
    max_cut: '1 mm',
    finish_cut: '0.25 mm',
    learners: '',
    kerf: '2 mm',
  },
};

/** The fields that hold a length, so that a bare number keeps its unit when the reader's units change. */
export const LENGTHS: { [Kind in PlanKind]: (keyof Drafts[Kind])[] } = {
  hole: ['thickness', 'size', 'depth', 'position_tolerance', 'work_diameter', 'work_width', 'overhang'],
  layout: [
    'length',
    'width',
    'hole',
    'pitch',
    'pitch_y',
    'inset',
    'inset_y',
    'offset',
    'circle',
    'centre_x',
    'centre_y',
    'points',
    'graduation',
  ],
  lathe: [
    'bar',
    'thickness',
    'outside',
    'bore_size',
    'bore_depth',
    'overhang',
    'blade',
    'cleanup',
    'facing',
    'jaw_clearance',
    'max_cut',
    'finish_cut',
    'kerf',
  ],
};
