/**
 * The page forbids code made from text (content security policy); Zod would probe for it otherwise. Said where
 * Zod looks for it when it is loaded, so that the first page need not load it to say so.
 */
declare global {
  var __zod_globalConfig: { jitless?: boolean } | undefined;
}

globalThis.__zod_globalConfig = { ...globalThis.__zod_globalConfig, jitless: true };

export {};
