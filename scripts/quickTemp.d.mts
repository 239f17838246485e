export function useQuickTemp(): void;
