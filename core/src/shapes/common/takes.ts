/** Why a shape does not take what is round: said alike by all that are folded. */
export const BOTTOM_IS_A_FOLD =
  'Its bottom is a fold, and what is round stands on a round one. Choose a round base with sides.';

/** Why a shape does not take several things: said alike by all that are one room. */
export const ONE_ROOM =
  'It is one room, and each of several things needs a pocket of its own. Choose a strip or two panels.';
