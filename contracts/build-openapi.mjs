// Writes dist/openapi.js: the types, limits and descriptions of the DTO classes, read from their source, for the OpenAPI document.
import { writeFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { ReadonlyVisitor } from '@nestjs/swagger/plugin';
import ts from 'typescript';

const folder = fileURLToPath(new URL('.', import.meta.url));
const visitor = new ReadonlyVisitor({
  pathToSource: `${folder}src`,
  introspectComments: true,
  classValidatorShim: true,
  esmCompatible: true,
});
const program = ReadonlyVisitor.createTsProgram(`${folder}tsconfig.json`);
for (const file of program.getSourceFiles()) {
  if (!file.isDeclarationFile && file.fileName.startsWith(folder)) visitor.visit(program, file);
}

const printer = ts.createPrinter({ removeComments: true });
const blank = ts.createSourceFile('openapi.ts', '', ts.ScriptTarget.ES2022);
const print = (node) => printer.printNode(ts.EmitHint.Unspecified, node, blank);

const models = visitor.collect().models.map(([file, classes]) => {
  const entries = Object.entries(classes).map(([name, facts]) => `${JSON.stringify(name)}: ${print(facts)}`);
  return `[${print(file)}, { ${entries.join(', ')} }]`;
});
if (models.length === 0) throw new Error('No DTO class was found in contracts/src.');
const imports = Object.entries(visitor.typeImports).map(([file, load]) => `${JSON.stringify(file)}: ${load}`);

const text = `export default async () => {
  const t = { ${imports.join(', ')} };
  return { '@nestjs/swagger': { models: [${models.join(',\n')}], controllers: [] } };
};
`;
const { outputText } = ts.transpileModule(text, {
  compilerOptions: { target: ts.ScriptTarget.ES2022, module: ts.ModuleKind.ES2022 },
});
writeFileSync(`${folder}dist/openapi.js`, outputText);
