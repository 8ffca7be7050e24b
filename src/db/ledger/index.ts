/** The ledger: movements, and what needs no knowledge of paint. Only it and the mixes write movements. */
export { buyContainer, buyTogether, type BuyContainer, type BuyTogether } from './purchase'
export {
  finishContainer,
  finishUndone,
  reopen,
  unseal,
  weighContainer,
  type FinishContainer,
  type WeighContainer,
} from './containers'
export { discard, takeOut } from './bottles'
export { pour, type PouredOnto } from './pour'
export { wasteRunOff } from './runOff'
export { makeSinks } from './sinks'
export { notUndone } from './notUndone'
export { undoMovement, type Follow, type Followers } from './undo'
export { flagLot, type Source } from './lots'
export { type Booked } from './book'
export { journal, journalText, type JournalEntry, type JournalPage } from './journal'
export { pouredByMonth, type MonthPoured } from './pouredByMonth'
