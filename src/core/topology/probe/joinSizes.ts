// Written by `npm run fit`; not edited by hand.

/** Learnt sizes of what speaks for two rails being one (`JoinOdds`), in nats. */
// oxfmt-ignore
export const JOIN_SIZES: readonly number[] = [0.183,0.699,0.171,0.105,-0.919,-0.048,0.404,-0.689,-0.566,0.018,-0.77,0.422,-0.111,-1.297];
