// Written by `npm run fit`; not edited by hand.

/** Learnt sizes of what speaks for two rails being one (`JoinOdds`), in nats. */
// oxfmt-ignore
export const JOIN_SIZES: readonly number[] = [0.267,0.701,0.175,0.105,-1.046,-0.132,0.198,-0.516,-0.758,-0.021,-0.901,0.362,-0.17,-1.327];
