/**
 * The plain structure of a DXF file: a group code on one line, its value on the next. A parser goes
 * round in circles where that is broken, so it is looked at first.
 */

/** What group codes there are. */
const isGroupCode = (line: string) => /^\s*-?\d{1,4}\s*$/.test(line) && isKnown(Number(line))
const isKnown = (code: number) =>
  (code >= 0 && code <= 179) || (code >= 210 && code <= 481) || code === 999 || (code >= 1000 && code <= 1071)
/** Longer is no value. */
const LONGEST = 4096

/** Why a text is no DXF file; null for one that may be. */
export function brokenDxf(text: string): string | null {
  const lines = text.split(/\r\n|\r|\n/)
  let isInPolyline = false
  for (let i = 0; i + 1 < lines.length; i += 2) {
    const [code = '', value = ''] = [lines[i], lines[i + 1]]
    if (code.trim() === '' && lines.slice(i).every((line) => line.trim() === '')) break
    if (!isGroupCode(code)) return `line ${i + 1} should be a group code, and reads “${code.trim().slice(0, 40)}”`
    if (value.length > LONGEST) return `line ${i + 2} is longer than ${LONGEST} letters`
    if (Number(code) !== 0) continue
    const what = value.trim()
    if (isInPolyline && what !== 'VERTEX' && what !== 'SEQEND')
      return `line ${i + 2}: a polyline goes on with ${what.slice(0, 40)} before it has ended`
    if (what === 'POLYLINE') isInPolyline = true
    if (what === 'SEQEND') isInPolyline = false
  }
  return isInPolyline ? 'it ends in the middle of a polyline' : null
}
