/** In the order in which they are to be looked for: most call themselves by the names of others too. */
const BROWSERS: [RegExp, string][] = [
  [/Edg\//, 'Edge'],
  [/Firefox\//, 'Firefox'],
  [/Chrom(e|ium)\//, 'Chromium'],
  [/Safari\//, 'Safari'],
];
const SYSTEMS: [RegExp, string][] = [
  [/Android/, 'Android'],
  [/iPhone|iPad/, 'iOS'],
  [/Windows/, 'Windows'],
  [/Mac OS X/, 'macOS'],
  [/Linux/, 'Linux'],
];

/** The browser and system that a User-Agent (RFC 9110) speaks of; undefined when it says nothing known. */
export function browserOf(agent: string): string | undefined {
  const named = (of: [RegExp, string][]) => of.find(([sign]) => sign.test(agent))?.[1];
  return [named(BROWSERS), named(SYSTEMS)].filter(Boolean).join(', ') || undefined;
}
