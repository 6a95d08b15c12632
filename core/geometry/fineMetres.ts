/** Metres to the tenth of a millimetre: finer than anything is built or drawn; never −0. */
export const fineMetres = (metres: number): number => Math.round(metres * 1e4) / 1e4 + 0
