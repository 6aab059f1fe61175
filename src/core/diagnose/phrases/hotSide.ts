import { phrasesOf } from './phrase';

/** What people write of units with faults of the mains side and the switch; common practice, no source. */
export const HOT_SIDE = {
  'switch-shorted': phrasesOf(`
    the big transistor has a chunk out of it; fet split open like a pod; drain to source beeps; a short from the
    bulk plus to the source resistor; gate to source reads a few ohms; main fet looks fine but its sense
    resistor is burnt open; popped when I pushed the plug in; tripped with a blue flash inside; transistor on
    the heat sink shorted all three legs; magic smoke from the primary side; power transistor measures as a
    wire; all three terminals of the MOSFET are connected; the FET's plastic has blown apart; source and drain
    show 0.00 in diode test; there is a hole where the part number of the transistor was; the six-pin power chip
    is dead short between drain and source; the transistor under the clip has lost a corner; between the can's
    plus and the source pin 0.4 ohm; the tab of the transistor is at minus by the meter; soot on the heat sink,
    a pin of the FET burnt off; a crack like a cap pistol when it was switched on; copper vapour between two
    pins of the switch; Q1 tests shorted drain to source; primary MOSFET toast; switching transistor reads 0.2
    ohms in every direction; fuse vaporised, hot side transistor shorted; the chip that contains the switch has
    its top blown off; collector and emitter are a dead short; main transistor blew and took the resistor under
    it; plugged it in and there was a loud bang; short circuit on the DC side of the bridge, gone with the
    transistor out; hot-side transistor: short; fuse black, transistor dead, sense resistor open; whole battery
    voltage straight through to the load; the regulator chip lets the input through to the output; input and
    output of the buck read the same, transistor shorted; input feed reads a short to ground; lamp in series
    stays bright, bridge is good; transistor split along its edge; one of the pair shorted, the other good
  `),
  'bridge-shorted': phrasesOf(`
    one arm of the rectifier reads zero both ways; tilde to plus beeps; two of the four diodes beep; it was on a
    generator that raced; bridge has a crack across its face; AC pins of the bridge show 1 ohm; rectifier block
    got a chip out of its corner; one diode of the four conducts both ways; DB107 gives 0.00 on one side;
    rectifier shorted between an AC leg and minus; one 1N4007 of the input is a wire; the square black part
    behind the fuse measures zero ohms; front end diodes gone; rectifier gives a tone from wave mark to plus;
    one of the four little diodes shows 0.00; the generator of the fair ran wild before it; both waves to minus
    0.00; bridge hot as a stove for a second, then the fuse; bridge rectifier has a shorted leg; shorted
    rectifier diode on the mains side; diode bridge reads low both ways between the AC pins; KBP bridge is
    cracked and shorted; fuse goes before anything has charged, transistor is fine; two input diodes failed
    short; dead short across the AC after the fuse, with the transistor good; BR1 AC to plus shorted; lamp in
    series bright with the can taken out; generator in the field, then a dull pop; fuse silver like a mirror,
    transistor good; two diodes of the mains side are wires; rectifier warm to the touch for a moment, then the
    fuse
  `),
  'bulk-shorted': phrasesOf(`
    mains capacitor blew its lid; big can reads 2 ohm with a leg lifted; electrolyte sprayed all over the
    primary side; paper and foil all over the inside; the 400 V can has its safety vent up; big cap's rubber
    came out of the bottom; plus and minus of the bulk stay at 3 ohm with everything lifted; the large
    electrolytic beeps; the main electrolytic reads half an ohm; smoothing capacitor on the hot side exploded;
    its aluminium top has opened and there is goo; primary filter cap is a short, removed it and the bridge
    lives; 400 V capacitor has zero resistance; the large can hissed and emptied itself; mains can has pushed
    out its plug; no charging to be seen on the big can, it stays at one ohm; grey porridge around the big can;
    filter capacitor on the mains side shorted; high voltage cap vented and shorted; big electrolytic exploded;
    cap guts everywhere; main filter cap tests as a dead short out of circuit; electrolyte on the board under
    the big capacitor, it reads 0 ohms; can domed and wet, 3 ohm; big electrolytic lies open like a flower; main
    cap hissed when it went; plugged into twice its mains and the can burst; the input can of the board beeps;
    tantalum at the input burnt and shorted; with the big can out the short is gone
  `),
  'varistor-shorted': phrasesOf(`
    lightning hit the line down the road; the disc behind the fuse is charred; blue disc broke in half;
    neighbours lost their televisions the same evening; the blue lentil has burnt through its coating; surge
    protector part is black; someone connected it between two phases; all lamps in the house shone too brightly
    before; a disc-shaped part has exploded, soot on the lid; a tree fell on the line; MOV in pieces; the ZNR at
    the input is black; hit by lightning; whole village had burnt devices that night; zinc oxide disc has
    cracked open; the storm of last week; soot fan on the board from the blue disc; the overvoltage disc fell
    off in two; voltage in the house was 300 for a minute; pylon down, half the road without a neutral; MOV
    exploded; surge took it out during a thunderstorm; the MOV is burnt black and cracked; transformer on the
    pole blew; blue disc shorted; plugged a 120 V unit into 240; generator surge; lightning, phone line dead
    too; after the storm the fuse and the blue part were gone; RV1 black, fuse vaporised; neutral broke in the
    street; the disc across the mains went up in smoke; the street had 400 V for a second
  `),
  'x-capacitor-failed': phrasesOf(`
    breaker drops even with the fuse of the board pulled; yellow box cracked along its side; film block at the
    inlet is swollen; short between L and N stays with the choke lifted; smoke from next to the mains socket
    while switched off at the front; box capacitor at the inlet burst; smell of burnt epoxy by the inlet,
    plastic box bubbled; the rectangular capacitor beside the inlet melted; line filter cap went bang; 0.22 uF
    275 VAC capacitor is split; X2 is short-circuited; RCD goes as soon as it is plugged, switch off or on;
    paper capacitor smoked; breaker goes even with the power switch off; the breaker falls with the on switch
    still at zero; inlet filter block hums and is warm; a seam of the plastic capacitor gapes; resin has run
    from the block at the inlet; L to N 2 ohm with the bridge unsoldered; X cap shorted; safety capacitor across
    the line failed; trips the GFCI as soon as it is plugged in; mains filter capacitor smoking; line to neutral
    short before the fuse; EMI filter cap split open; Y capacitor leaky to earth; earth leakage through the
    filter; short at the inlet even with the fuse out; breaker trips before the switch is on; box capacitor
    bulged, short to the touch of the meter; AC pins of the inlet read 1 ohm across; bad smell and smoke from
    the inlet while it still works; two of the mains capacitors cracked on all faces; breaker falls even when it
    is off; leak to earth trips the house switch
  `),
  'ntc-open': phrasesOf(`
    no volts after the inrush resistor; black disc near the inlet is in two halves; mains stops at the green
    disc; thermistor crumbled when touched; 230 V before the thermistor, nothing behind; nothing at the bridge
    though the fuse is good; bulk has no charge at all, fuse good; inrush limiter broken; inrush thermistor has
    no continuity; 5 ohm thermistor reads infinite; the part marked 5D-11 is cracked in half; AC on one leg of
    the thermistor and none on the other; a round black component near the bridge is broken off; the inrush part
    hangs on one leg; no mains beyond the dark disc; cold-start resistor open; bridge sees no AC although F1 is
    whole; at power-on not the slightest sound, no charge on the can; NTC cracked and open; inrush limiter blown
    apart; AC goes into the NTC and does not come out; thermistor reads open loop; fuse OK but no DC on the
    primary cap; soft-start thermistor burnt; can at 0 V, fuse whole; the inrush part snapped; after a power cut
    it did not come back, can empty; mains before RT1, none after; thermistor broken in the middle, fuse whole;
    volts reach the choke but not the bridge
  `),
  'fuse-aged': phrasesOf(`
    nothing on the board is short, I measured all; element just parted, no blackening; fuse wire hangs down like
    a hair; new fuse in it and it has run for a fortnight; a fine break at the end cap of the fuse; all
    semiconductors test well; fuse replaced, works since; glass perfectly clear; a new fuse and it works as if
    nothing had been; no short found, changed the fuse, fine; fuse wire broken in the middle, glass is clean;
    checked everything, only the fuse is open; fuse fatigue, it was twenty years in the machine; wire in the
    glass simply ended, ends round; had the same fuse since it was made; not one short to be found, diodes, can
    and switch well; put in a new one and it lives; the cap of the fuse had come unsoldered; no shorts at all,
    new fuse, works; fuse just got tired; only the fuse was open; all checks good so I replaced the fuse; fuse
    opened without any damage; slow-blow fuse with a sagging element; ran fine on the bulb limiter with a new
    fuse; element grey and thin, parted in the middle; fuse open, everything else measures right; worked again
    with a new fuse and has since; the wire sagged and let go; glass clean, wire hangs from one end; bridge,
    switch and can all good, fuse open
  `),
  'startup-resistor-open': phrasesOf(`
    bulk holds its charge for ages after unplugging; chip never gets more than half a volt; VCC pin stays at 0
    V; touching the resistor chain with a probe makes it start; a row of three resistors in series, one with a
    brown belly; 310 V on the can, nothing at the chip; supply pin creeps to 3 V and stays; no attempt to start
    at all, high voltage is there; sometimes starts if one waits half an hour; pin 7 of the chip has 0.4 V; one
    of the two 100k at the high voltage is open; no start-up current arrives; VCC zero while there are 320 V on
    the primary; 470k reads 4 Mohm; supply never kicks; the controller is never fed; lives if I bridge the pair
    of resistors with 470k; chip asleep, half a volt at its feed; the big can is full and stays full for ten
    minutes; one of the three in the string from plus is infinite; an hour in the socket, then it comes by
    itself; startup resistor open; 330k resistor reads open; VCC never rises above a volt; no voltage at the IC
    supply but the bulk is at 325; kick-start resistor high in value; high-value resistor from the main cap to
    the chip is bad; primary cap holds its charge when unplugged; dead, no ticking at all, B+ is fine; nothing
    at all, can keeps its 320 V long after; no life, no tick, high voltage there; R3 half a megohm of old, now
    open; starts with a wet finger on the resistor; VCC 0.3 V; chip's feed never reaches its threshold; dead but
    the big can bites
  `),
  'vcc-capacitor-dry': phrasesOf(`
    has to be plugged in several times before it catches; hair dryer on the board and it starts; the 47u by the
    chip stands right against the heat sink; tries over and over, a bit longer each time until it stays on; did
    start slower and slower over the last year; blinks for a minute then runs normally; small can near the
    controller is discoloured; once running it is fine for days, but not after a power cut; chip supply dips
    under its lower threshold in each try; takes five or six tries to start in winter; needs a warm room to
    start; once started never stops; the 22 uF 50 V at pin 7 has an ESR of 15; starts with the heat gun at the
    IC; it pulses ever slower for a minute, then holds; each morning it ticks a while before it goes; the small
    can beside the chip dried by the heat of the sink; on a hot day it starts at the first go; the longer it was
    off, the longer it ticks; feed of the chip has teeth like a saw; VCC cap high ESR; small electrolytic next
    to the PWM chip is dried out; takes a few minutes of clicking before it starts; cold start problem; starts
    only after several attempts; 47 uF 25 V by the controller measures 3 uF; unplug and replug until it runs;
    UVLO cycling, cap on the chip's supply bad; three tries on a cold morning, then all day; blinks faster and
    faster until it catches; small can by the chip: ESR 20; runs if warmed by the hair dryer near the chip;
    needs longer every week to come up; sits in the sun it starts, in the shade it ticks; after a night off it
    ticks for a minute
  `),
  'controller-dead': phrasesOf(`
    chip has 15 V and does nothing; hole in the controller; gate pin stays at zero though the supply is right;
    VCC to ground of the chip 3 ohm; chip cracked across; controller gets scalding within seconds; 5 V reference
    of the chip is missing; oscillator pin does not move; supply of the chip is steady at 12 V, no drive; pin 8
    reads 0.2 V instead of 5 V; IC has 14 V on its supply but the output pin is flat; chip is cracked; the IC
    gets hot without doing anything; 3842 shorted between supply and ground; VREF is zero with VCC there; there
    is no oscillation; PWM IC replaced in a sister unit with the same fault; 16 V at the chip, not a pulse out
    of it; the chip's belly has a blister; feed to ground at the chip 6 ohm; chip's reference at 0.7 V; it eats
    60 mA and gives nothing; chip stone cold, feed good, gate dead; PWM IC has supply but no output; controller
    shorted VCC to ground; chip has a hole blown in it; start-up voltage present, no gate drive; no 5 V on the
    reference pin of the 3842; IC gets supply and sits there; chip draws too much and drags its supply down; no
    switching at all with 15 V on the chip; chip fed with 14 V and mute; VCC steady, drive none; controller pin
    6 flat at zero; reference pin zero, supply fine; pit in the chip's back; gate never moves though the chip is
    alive at 13 V; same volts at output as at input, gate flat; the bus does not get its boost, gate of the
    boost FET flat; relay clicks, boost never starts; PFC does not boost and its switch is good
  `),
  'sense-resistor-open': phrasesOf(`
    source resistor burnt through; the 0.22 ohm under the transistor reads 40 ohm; starts, gives up at half of
    its load; current sense pin jumps up at each try; wirewound by the FET has an open; three small resistors in
    parallel, two of them cracked; limits far too early; power resistor at the transistor's foot is open; R33
    ohm in the source lead is broken; low-ohm resistor under the FET has gone high; shuts down at a third of the
    current; source resistors charred; 0R22 open circuit; current limit comes in much too soon; the resistor
    below the switch has a burnt stripe and no value; 0.33 in the foot of the switch measures 11 ohm; it can
    carry a quarter of its load; one pulse a second, CS pin at its limit; the ballast of the source is gone;
    current sense resistor open; source resistor burnt open, transistor good; 0.47 ohm resistor measures 8 ohms;
    overcurrent trips with no load; low value resistor in the source burnt; shuts down early under load, sense
    resistor has drifted up; the shunt has a hairline crack; sense resistor 0.47 reads open; one tick at
    switch-on, then nothing; folds back at a quarter of its load; cuts out far below its rating, cans good;
    shunt cracked; the 0.1 ohm has become 6 ohm; its shutdown comes at half load since the last repair
  `),
  'gate-drive-fault': phrasesOf(`
    kills new transistors in an instant; gate resistor reads open; drive pulse is rounded and low on one side;
    lower gate has pulses, upper has none; pull-down at the gate missing; driver stage transistor leaky; one
    side of the drive transformer gives half the pulse; I have put three transistors in it; the 10 ohm at the
    gate turned to charcoal; the new MOSFETs die instantly; gate of the high side has no signal; bootstrap
    capacitor open; gate stopper burnt; the driver IC gives only one output; one gate waveform is lazy; base
    drive resistor went open; second pair of transistors in a week; the upper half gets a lame drive; 10 ohm in
    the gate has no value any more; a diode across the gate resistor is shorted; turn-off transistor at the gate
    dead; gate resistor open; driver transistor shorted; new FETs blow immediately; no drive on one transistor;
    drive transformer winding open; gate driver chip dead on one side; weak gate waveform, FET runs hot; zener
    at the gate is shorted; one transistor much hotter than the other; third set of FETs on the same side; gate
    resistor 1 kohm of 10; driver output shorted to ground; one switch hot, its fellow cold; the new transistor
    lasted a minute; gate resistor burnt open, the next FET dies too; turn-off diode at the gate open; pulses at
    the gate slow and round
  `),
  'snubber-failed': phrasesOf(`
    resistor across the transformer burnt; each new switch lasts a week; little blue disc at the drain broken;
    spikes of 700 V at the drain; medium-wave radio is useless when it runs; TVS across the primary shorted; RC
    across the rectifier gone to ash; ringing on the drain far higher than in the sister unit; clamp diode open;
    RCD clamp resistor is open; drain peaks at 780 V; clamp cap cracked; transistor replaced, gone after two
    days; P6KE200 is shorted; the snubber R is toast; the thousand-volt disc lies in crumbs; clamp resistor
    discoloured and at 2 Mohm; switch died three times, always at full load; the little capacitor over the drain
    open; neighbours complain of noise on the radio; snubber resistor open; clamp diode shorted; keeps killing
    the MOSFET; RCD clamp burnt; snubber capacitor cracked; big voltage spikes on the drain; new transistor
    lasted a day; interferes with AM radio; TVS diode shorted on the primary; brown disc beside the transformer
    split in two; each new transistor dies after a day or so; resistor of the clamp has lost its paint; radio
    crackles when it runs; snubber disc loose on its legs; whistles at rest, clamp disc cracked; clamp: 0.2 of
    4.7 nF; hot resistor next to the transformer
  `),
} as const;
