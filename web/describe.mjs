// Writes the types of the API from its description; ids of one kind of thing get a type of their own.
import { mkdir, readFile, writeFile } from 'node:fs/promises';
import openapiTS, { astToString } from 'openapi-typescript';
import ts from 'typescript';

const IDS = { 'person-id': 'PersonId', 'message-id': 'MessageId' };
const NULL = ts.factory.createLiteralTypeNode(ts.factory.createNull());

const types = await openapiTS(await readFile('openapi.json', 'utf8'), {
  inject: `import type { ${Object.values(IDS).join(', ')} } from '../ids';\n`,
  transform(schema) {
    const name = IDS[schema.format];
    if (!name) return undefined;
    const id = ts.factory.createTypeReferenceNode(name);
    return schema.type.includes('null') ? ts.factory.createUnionTypeNode([id, NULL]) : id;
  }
});
await mkdir('src/lib/api/generated', { recursive: true });
await writeFile('src/lib/api/generated/schema.d.ts', astToString(types));
