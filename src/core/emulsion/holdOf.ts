/** The hold of what lies in a jar: parts, defaults of tool and temperature, and what keeping has to say to it. */
import type { Tool } from '#core/formula';
import type { Ingredient } from '#core/ingredient';
import type { Vessel } from '#core/vessel';
import type { HoldRequest } from './state';
import { partAmounts } from './madePart';
import { TOOL_VALUES } from './tools';

/** Once a dressing must be held cold, it is seen at room temperature for no longer than this, s. */
export const ROOM_LIMIT_S = 2 * 3600;
export const COLD_C = 5;
export const ROOM_C = 21;
/** Height of a dressing in a jam jar, m. */
export const USUAL_HEIGHT_M = 0.08;

export interface HoldSetting {
  readonly tool: Tool;
  readonly seconds: number;
  readonly volumeMl: number;
  readonly fillShare?: number;
  readonly heightM: number;
  /** While it stands, °C. */
  readonly temperatureC: number;
  /** While it is mixed, °C; left out or null: a kitchen. */
  readonly mixedC?: number | null;
  readonly roughly?: boolean;
}

/** A jar is shaken, a beaker takes the stick blender, anything else a whisk. */
export const usualTool = ({ closes, outline }: Pick<Vessel, 'closes' | 'outline'>): Tool => {
  if (closes) return 'shake';
  const brim = outline.at(-1)!;
  return brim.heightMm > 1.2 * brim.radiusMm ? 'stick' : 'whisk';
};

export const usualSeconds = (tool: Tool): number => TOOL_VALUES[tool].referenceS;

/** Where cold holding is called for, the fridge; else the counter. */
export const usualTemperatureC = (mustBeCold: boolean): number => (mustBeCold ? COLD_C : ROOM_C);

export function holdRequest(
  portions: readonly { readonly ingredient: Ingredient; readonly massG: { readonly nominal: number } }[],
  { tool, seconds, volumeMl, fillShare, heightM, temperatureC, mixedC, roughly }: HoldSetting,
): HoldRequest {
  return {
    amounts: portions
      .filter(({ massG }) => massG.nominal > 0)
      .flatMap(({ ingredient, massG }) => partAmounts(ingredient, massG.nominal)),
    mixing: {
      tool,
      seconds,
      volumeMl,
      ...(fillShare === undefined ? {} : { fillShare }),
      ...(mixedC == null ? {} : { temperatureC: mixedC }),
    },
    heightM,
    temperatureC,
    ...(roughly === undefined ? {} : { roughly }),
  };
}

/** A key that changes exactly when the answer may: equal input is not computed twice. */
export const holdKey = (request: HoldRequest): string => JSON.stringify(request);
