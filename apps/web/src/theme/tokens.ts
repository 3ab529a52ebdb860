/* Every colour of the screens. Set here and nowhere else; `t` names them as they are painted. */

/** A fill, what stands on it, the same hue as text on a panel, and a tint for a row. */
const st = (main: string, on: string, ink: string, wash: string) => ({ main, on, ink, wash });
/** By day: ground, ink, enamel, hazards, nitrite, stations, salt, brine. */
export const day = {
  tile: '#EDF1F0',
  panel: '#FFFFFF',
  sunk: '#F4F7F6',
  steel: '#DDE4E2',
  hair: '#C9D3D1',
  hair2: '#93A29E',
  line: '#6B7B77',
  ink: '#10231F',
  ink2: '#3D514C',
  ink3: '#566863' /** the outline of a button */,
  edge: '#10231F',
  enamel: { main: '#0E3B2E', hi: '#1B5343', lo: '#082A20', on: '#F3F8F6', on2: '#A9C3BA' },
  /** the edge of what is open */
  mark: '#0E3B2E',
  rail: { steel: '#D3DCDA', shade: '#6E827C' },
  tag: { main: '#FBFDFC', ink: '#10231F', ink2: '#3D514C', edge: '#FBFDFC', strip: '#E3EAE8' },
  /** hazards, and nothing else */
  danger: st('#B3261E', '#FFFFFF', '#B3261E', '#FBEAE8'),
  amber: st('#C77700', '#10231F', '#8A5200', '#FDF3E1'),
  /** nitrite, and nothing else */
  nitrite: { main: '#C2497A', ink: '#A8326A', wash: '#F9E6EE' },
  station: {
    prep: st('#6B7773', '#FFFFFF', '#55605C', '#E9ECEB'),
    cure: st('#1F7A80', '#FFFFFF', '#17666B', '#DDEEEE'),
    soak: st('#3E86B8', '#FFFFFF', '#2A6590', '#E0ECF4'),
    dry: st('#B8902F', '#10231F', '#7A5C12', '#F5EDD8'),
    smoke: st('#6C6790', '#FFFFFF', '#5A557E', '#E9E8F0'),
    cook: st('#C2501E', '#FFFFFF', '#A63F12', '#F8E6DD'),
    chill: st('#5AA0BF', '#10231F', '#2F6C87', '#E3F0F5'),
    pack: st('#4C8A4A', '#FFFFFF', '#3A6E38', '#E4EFE3'),
  },
  salt: ['#F3F8F7', '#D9EBEA', '#BBDCDB', '#93C7C7', '#62A9AC', '#34878C', '#1A6469', '#0E4347'],
  bone: '#F1EEE2',
  boneEdge: '#8F8A75',
  fat: '#EFEDE6',
  brine: '#CFE4E4',
  brineDeep: '#A9CFD0',
  glass: '#8FA5A1',
  ice: '#E2F1F6',
  nightShade: '#E4EAE8',
  focusIn: '#FFFFFF',
  focusOut: '#10231F',
};
export type Tokens = typeof day;
/** At night. A colour that is missing here is an error of types. */
export const night: Tokens = {
  tile: '#0B1513',
  panel: '#13211E',
  sunk: '#0F1B18',
  steel: '#101D1A',
  hair: '#2B3C38',
  hair2: '#4A5E59',
  line: '#7C918B',
  ink: '#E4EDEA',
  ink2: '#B5C5C0',
  ink3: '#90A39D',
  edge: '#7C918B',
  enamel: { main: '#0B2F25', hi: '#1D4A3D', lo: '#061F18', on: '#DDE9E5', on2: '#93AFA6' },
  mark: '#3FA3A8',
  rail: { steel: '#8FA09B', shade: '#3B4F49' },
  tag: { main: '#1A2B27', ink: '#E4EDEA', ink2: '#B5C5C0', edge: '#54706A', strip: '#263A35' },
  danger: st('#CC3B32', '#FFFFFF', '#FF8A80', '#331917'),
  amber: st('#E0952B', '#10231F', '#F2B457', '#2E2413'),
  nitrite: { main: '#E27BA4', ink: '#EE9BBB', wash: '#36202A' },
  station: {
    prep: st('#8E9B96', '#0B1513', '#AEBAB6', '#202B28'),
    cure: st('#3FA3A8', '#0B1513', '#6CC3C6', '#123033'),
    soak: st('#5BA3D4', '#0B1513', '#86BFE6', '#15293A'),
    dry: st('#CFA74A', '#0B1513', '#DEBD6E', '#2C2512'),
    smoke: st('#8F8AB8', '#0B1513', '#B3AFD6', '#22212F'),
    cook: st('#DD6A38', '#0B1513', '#F08E63', '#331D12'),
    chill: st('#76B8D4', '#0B1513', '#97CDE4', '#16292F'),
    pack: st('#6BAA68', '#0B1513', '#90C78D', '#182B18'),
  },
  salt: ['#0F2426', '#123236', '#164348', '#1C585E', '#25737A', '#3A949A', '#69B7BA', '#A9DAD9'],
  bone: '#4A4A40',
  boneEdge: '#9A957E',
  fat: '#232B28',
  brine: '#173A3C',
  brineDeep: '#1F4D50',
  glass: '#6D837E',
  ice: '#1F3640',
  nightShade: '#0C1715',
  focusIn: '#0B1513',
  focusOut: '#E4EDEA',
};

type Vars<T> = T extends string ? string : { [K in keyof T]: Vars<T[K]> };
const vars = <T extends object>(o: T, p: string): Vars<T> => {
  const each = Object.entries(o).map(([k, v]) => [k, typeof v === 'string' ? `var(${p}-${k})` : vars(v, `${p}-${k}`)] as const);
  return (Array.isArray(o) ? each.map(([, v]) => v) : Object.fromEntries(each)) as Vars<T>;
};

/** Each colour as a CSS variable, typed: for `styled`, for overrides and for drawings. Night repaints without a render. In `sx` stands the path in the palette: `nitrite.ink`. */
export const t = vars(day, '--bh-palette');
