import { sayable } from './objects';

/** What a file says about itself. */
export interface Metadata {
  readonly title: string;
  readonly at: Date;
  /** Sixteen bytes in hex, the same for the same file. */
  readonly id: string;
}

export const PRODUCER = 'Yellow Sheet';

/** A bare carriage return would be read as the end of a line (XML 1.0, 2.11). */
const escapeXml = (text: string): string => sayable(text).replace(/[&<>\r]/g, (c) => `&#${c.charCodeAt(0)};`);

const iso = (at: Date): string => at.toISOString().replace(/\.\d+Z$/, 'Z');

/** `D:20260501090000Z`, the same moment as in the XMP. */
export const pdfDate = (at: Date): string => `D:${iso(at).replace(/[-:T]/g, '')}`;

const uuid = (id: string): string =>
  `uuid:${[id.slice(0, 8), id.slice(8, 12), id.slice(12, 16), id.slice(16, 20), id.slice(20, 32)].join('-')}`;

/** XMP of the document; one that follows PDF/X-4 says so there (ISO 15930-7, clause 6.3, from memory). */
export function xmp({ title, at, id }: Metadata, conformance: 'PDF/X-4' | undefined): string {
  const x4 = conformance ? `<pdfxid:GTS_PDFXVersion>${conformance}</pdfxid:GTS_PDFXVersion>` : '';
  return (
    '<?xpacket begin="\ufeff" id="W5M0MpCehiHzreSzNTczkc9d"?>\n' +
    '<x:xmpmeta xmlns:x="adobe:ns:meta/"><rdf:RDF xmlns:rdf="http://www.w3.org/1999/02/22-rdf-syntax-ns#">\n' +
    '<rdf:Description rdf:about=""\n' +
    ' xmlns:dc="http://purl.org/dc/elements/1.1/" xmlns:xmp="http://ns.adobe.com/xap/1.0/"\n' +
    ' xmlns:xmpMM="http://ns.adobe.com/xap/1.0/mm/" xmlns:pdf="http://ns.adobe.com/pdf/1.3/"\n' +
    ' xmlns:pdfxid="http://www.npes.org/pdfx/ns/id/">\n' +
    '<dc:format>application/pdf</dc:format>\n' +
    `<dc:title><rdf:Alt><rdf:li xml:lang="x-default">${escapeXml(title)}</rdf:li></rdf:Alt></dc:title>\n` +
    `<xmp:CreateDate>${iso(at)}</xmp:CreateDate><xmp:ModifyDate>${iso(at)}</xmp:ModifyDate>` +
    `<xmp:MetadataDate>${iso(at)}</xmp:MetadataDate>\n` +
    `<xmp:CreatorTool>${PRODUCER}</xmp:CreatorTool><pdf:Producer>${PRODUCER}</pdf:Producer><pdf:Trapped>False` +
    '</pdf:Trapped>\n' +
    `<xmpMM:DocumentID>${uuid(id)}</xmpMM:DocumentID><xmpMM:RenditionClass>default</xmpMM:RenditionClass>` +
    '<xmpMM:VersionID>1</xmpMM:VersionID>\n' +
    `${x4}</rdf:Description></rdf:RDF></x:xmpmeta>\n` +
    '<?xpacket end="w"?>'
  );
}
