import { build } from 'vite';
import type { UserConfig } from 'vite';
import { sharedScripts } from './sharedScripts.js';

/** What the page names, and so has to stay what it is named for. */
const MAIN = /\/(index\.html|src\/main\.tsx)$/;

/** The scripts that a build would make by itself. */
async function ownScripts(config: UserConfig) {
  const built = await build({
    ...config,
    configFile: false,
    logLevel: 'warn',
    build: { ...config.build, write: false, reportCompressedSize: false },
  });
  if (Array.isArray(built) || !('output' in built)) throw new Error('One build was asked for.');
  return built.output.flatMap((file) => (file.type === 'chunk' ? [file] : []));
}

/** By module: the name of the script that it is fetched in, where several entries need it or the application always does. */
export async function planScripts(config: UserConfig): Promise<ReadonlyMap<string, string>> {
  const scripts = await ownScripts(config);
  const shared = sharedScripts(
    scripts.map((script) => ({
      file: script.fileName,
      bytes: script.code.length,
      imports: script.imports,
      isEntry: script.isEntry || script.isDynamicEntry,
    })),
  );
  const byFile = new Map(scripts.map((script) => [script.fileName, script]));
  const planned = new Map<string, string>();
  for (const [at, files] of shared.entries()) {
    for (const script of files.flatMap((file) => byFile.get(file) ?? [])) {
      const name = files.length > 1 ? `shared${at + 1}` : script.name;
      for (const module of script.moduleIds) planned.set(module, name);
    }
  }
  // Without a name of its own it would be taken apart, by who else needs what.
  const always = scripts.filter(({ isEntry }) => isEntry).flatMap(({ moduleIds }) => moduleIds);
  for (const module of always) if (!MAIN.test(module)) planned.set(module, 'application');
  return planned;
}
