/** What was typed for a length: a number of mm, or the text as it stands ("8 1/2 in"), which the server reads. Nothing: null. */
export function length(text: string | number): number | null {
  const plain = String(text).trim()
  if (plain === '') return null
  const number = Number(plain.replace(',', '.'))
  return Number.isFinite(number) ? number : (plain as unknown as number)
}
