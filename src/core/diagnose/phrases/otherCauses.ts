import { phrasesOf } from './phrase';

/** What people write of units with faults of the power-factor and resonant stages, the whole unit, and units without a converter; common practice, no source. */
export const OTHER_CAUSES = {
  'pfc-switch-shorted': phrasesOf(`
    transistor beside the big coil shorted; FET of the boost stage split; went off at a dip in the mains with a
    crack; bridge and the first FET both beep; short across the big can goes when the boost diode is out; power
    factor FET has a hole; shunt near the bridge open and the first transistor beeps; PFC MOSFET is shorted;
    MOSFET at the PFC choke exploded; boost switch D-S 0 ohm; the FET next to the toroid is shorted; first power
    FET after the bridge short; transistor by the ring coil shorted, the pair behind whole; first FET a wire;
    boost FET in splinters; resistor in the return of the bridge burnt, boost FET shorted; PFC FET shorted;
    boost transistor blown; PFC MOSFET and bridge shorted; short across the bulk through the PFC FET; transistor
    on the PFC coil exploded; bang when mains came back, first FET in two; coil's transistor shorted, half
    bridge good; boost FET and fuse gone after a brown-out; PFC FET drain to source 0.001; soot at the input
    end, half bridge untouched
  `),
  'pfc-diode-shorted': phrasesOf(`
    boost diode both ways zero; coil's far end to the big can beeps; new boost FET died at first switch-on;
    two-legged part beside the coil conducts both ways; silicon carbide diode shorted; boost FET replaced twice;
    diode behind the big coil beeps; the boost rectifier is zero ohm; PFC diode short; MUR860 measures 0.00 both
    ways; SiC diode is a wire; ultrafast behind the PFC choke shorted; new boost FET gone at once; two-legged
    one at the coil is a wire; from coil to can zero ohm; boost diode conducts backwards; PFC diode shorted;
    boost diode failed short; replaced PFC FET blew again, boost diode shorted; no volts drop between coil and
    bulk, both ways; bridge plus to bulk plus beeps past the diode; boost FET replaced, dies again, its diode
    0.00; short on the bulk gone with the boost diode out
  `),
  'resonant-capacitor-faded': phrasesOf(`
    the film block in the bridge lost a third of its value; runs to half load, then stops; frequency goes down
    to its limit and it cuts out; capacitor between transformer and ground swollen; brightness falls and then it
    switches off, 24 V was right; resonance capacitor has a burn spot; loud scenes make it drop out, big can at
    390 V steady; resonant cap reads 14 nF, marked 22; the Cr has lost capacity; LLC runs at minimum frequency;
    output drops above 60 percent load; MKP in the tank is discoloured; the tank capacitor has half its value;
    gives up at two thirds of the load, bulk at 385; film capacitor at the transformer's foot dark; 24 V sags
    and frequency is at the bottom; resonant capacitor out of tolerance; LLC cap low in value; cannot deliver
    full power, PFC at 390 V; tank cap 20 percent low; supply shuts off at high load, resonant cap bad; dims
    stepwise, bulk at 390; white pictures bring it down, menus are fine; film block brown on one side; C12 17 of
    33 nF; amplifier loud: it starts over; tube ends red, never strikes; ballast: capacitor across the tube
    shorted
  `),
  'transformer-shorted-turns': phrasesOf(`
    hums and gets hot with nothing connected; ring test dies after two rings; varnish runs out of the
    transformer; inductance of primary a tenth of the sister's; core cracked and windings dark; takes 15 W at no
    load; primary current ramps much too fast; transformer smells and burns the finger; Q of the primary is
    nothing; transformer fails the ring test; primary inductance far too low; transformer overheats idle; LOPT
    tester says shorted turns; the windings have charred tape; transformer replaced from a donor: all well; idle
    it eats 20 W and the transformer stinks; rings once and stops; winding has a dark patch of varnish; primary
    has a third of its millihenries; transformer hot at no load, all diodes good; shorted turns in the
    transformer; transformer gets hot with no load; flyback transformer bad; transformer rings badly; burnt
    smell from the transformer; primary inductance way down; high idle power, everything else checks out; stinks
    of lacquer after an evening, core too hot to hold; twin unit 1.9 ohm, this 1.1 ohm; hiccups with both
    rectifiers lifted; draws 18 W at the wall with nothing on it; transformer browned at its inner edge
  `),
  'solder-joint-cracked': phrasesOf(`
    tap it and it comes back; knock on the case and the light goes; pin of the transformer sits in a crater;
    works upside down; lens shows a fine circle round the leg of the heat sink; re-soldered one pin and it ran
    an hour; pushing the coil aside revives it; sparks under the board, seen in the dark; works when squeezed;
    goes off when a door slams; cold solder joint at the transformer; wiggling the board makes it work; cracks
    round the pins of the heavy parts; bad joint at the inductor; works again after reflowing; hit it and it
    works; fails when the board flexes from heat; dry joint; a fine ring about pin 3 of the transformer; light
    returns when the case is patted; heat makes it drop, pressing the coil brings it; grey joint under the sink;
    twist the board and it starts; cracked solder joint; bad solder on the transformer pins; intermittent,
    tapping makes it work; ring cracks around pins; cuts out as it warms up, comes back if you press on it;
    loose pin on the connector to the board; resoldering everything fixed it; vibration makes it cut out; ring
    round a leg of the coil; rings round both legs of the transformer; quits when the lid is on; comes back
    after a knock; dull ring round the middle leg; a joint like a crater; heavy part rocks on its pins; off in
    the heat, on after a slap; crack round one leg, seen with a lens
  `),
  'overloaded-outside': phrasesOf(`
    runs a test lamp all day; another charger ticks on that laptop too; stops only with that one machine; volts
    right until the load is plugged in; device takes 6 A at its socket; amplifier input reads a short; with a
    lamp as load it holds; the drill's battery is shorted inside; the other supply does the same with this
    device; the laptop itself is shorted; works on a dummy load; fine with a 4 ohm resistor at the output; the
    LED strip connected is too long; motor in the machine is jammed; no trouble with another notebook; load
    draws twice its rating; the fault goes with the device; quiet and right on a 10 ohm lamp; the printer's own
    input is 1 ohm; ticks on this one player, not on the other; its plug out, all is right; the pump it drives
    is blocked; load is shorted; supply is fine on the bench with a dummy load; works with another device; ticks
    only when connected to its device; laptop has a shorted input; device pulls too much current; replaced
    supply does the same; nothing wrong with the supply; right by itself, ticks with its machine; panel's plug
    pulled, both rails stay up; holds with a car lamp; its machine draws 5 A of 2; another unit runs on it; the
    same with a borrowed supply; scanner measures 0.6 ohm at its socket
  `),
  'line-selector-wrong': phrasesOf(`
    bought on a trip to Canada; says 110 under the lid; the small red slide stands the wrong way; all rails at
    half; came with a flat two-blade plug; from a market in Tokyo; moved countries with its owner; set for the
    other mains; plugged into the wrong voltage abroad; expat's machine, first time plugged in here; selector
    switch is on 115; switch was at 230 but we have 115 here; voltage switch in the wrong position; from an
    American seller; bought second-hand from Japan; it is an import for 120 V; all outputs half as high; from a
    ship with 115 V; slide behind a sticker, at 230, here 120; came over from the States; the red slide had been
    moved by the kids; voltage selector set wrong; set to 230 on 115; PC from the US; switch on the back at the
    wrong voltage; outputs about half; line voltage selector; fed with 115 here, slide at 230; came from Japan;
    bang on the first day abroad; slide stands at 115, mains 230, both cans vented; red switch hidden under a
    sticker; used in a caravan with a converter for 110
  `),
  'fan-stuck': phrasesOf(`
    fan full of cat hair; fan blades broken; bearing dry, the fan rattles then stops; stops after a while, air
    does not move; fan only starts with a push of the pencil; shuts after ten minutes, vents blocked with fluff;
    fan's plug came off; quiet now where it used to roar; fan does not spin; fan seized; ventilator is dead;
    bearings of the fan gone; overheats and cuts, fan is still; dust has blocked the fan; air slots closed with
    lint; fan stands still, fluff in the hub; fan turns by hand like in honey; no draught at the back; it has
    become so quiet, then it goes off; fan not turning; fan bearing worn; clogged with dust; thermal shutdown;
    overheats after 15 minutes; fan makes noise then stops; no airflow; off after twenty minutes at load, back
    when cool; blades clogged; fan hums but stands; sinks too hot to touch, hardly any air; fan caked with dust
  `),
  'triac-shorted': phrasesOf(`
    lamp stays on whatever the knob does; cannot be turned down; on or off only; since the bulb went with a
    flash it is on at full; full brightness at any setting; knob dead, light is on; the motor runs at top speed
    at once; BT136 shorted; MT1-MT2 zero ohm; light cannot be switched off by the dimmer; always full on; lamp
    at full power whatever I turn; lamp shines with the knob at zero; no dimming at all, full light; two of its
    legs one wire; went to full the day the bulb popped; triac shorted; always on full; will not dim; no
    control, full brightness; triac reads short MT1 to MT2; lamp full on even with the gate disconnected; full
    or off; lamp full whatever the knob; triac 0.3 ohm; since the bulb burst: full; motor at top speed
  `),
  'trigger-diode-dead': phrasesOf(`
    trigger capacitor charges to 150 V; no kick from the starter cap; diac does not break over; tube good,
    transistors good, nothing happens; diac conducts in one direction only; timing cap swings but gate gets
    nothing; DB3 does not fire; DB3 open; the diac is bad; starter capacitor at 90 V, no trigger; replaced the
    DB3 and it lights; the little glass diode never fires; 120 V on the trigger can and nothing; nothing starts,
    the diac sits there with all the volts; diac like an open wire; diac bad; no trigger pulses; diac open;
    capacitor charges but the diac never fires; lamp will not start, transistors good; no flash, no glow,
    transistors good; trigger can climbs past 100 V; diac never fires; dead dimmer, choke silent, triac good
  `),
  'timing-capacitor-leaky': phrasesOf(`
    starts at half brightness then can be turned down; lowest setting is not reachable any more; jumps in at a
    third of the way; flickers near the low end; small film capacitor reads 300 kohm; lamp blinks at the lowest
    setting; comes on late and bright; 100 nF timing cap has leakage; dimmer has hysteresis, jumps on at 40
    percent; cannot set a low light; must be turned up half before anything, then back; the lamp jumps to
    medium; light comes in late with a jump; first half of the turn does nothing; blue film capacitor leaks;
    slow glow is gone, it leaps on; timing capacitor leaky; pops on at mid setting; will not go low; needs to be
    turned up to start, then can be dimmed; leaky cap in the dimmer; comes on abruptly; shivers at every
    setting; jumps from dark to half; beats once in ten seconds instead of one; timing film 400 kohm; smooth
    years ago, leaps now
  `),
  'dropper-capacitor-faded': phrasesOf(`
    relay chatters; clicks off as soon as the relay pulls; the 470n reads 150n; display grew paler over the
    years; zener never gets to its voltage; works until the relay pulls in; motion lamp goes on and off; big
    yellow cap reads a third of its print; X2 dropper has 120 nF left of 470; relay does not hold; LEDs got dim
    over time; drop capacitor lost value; 12 V collapses when the relay is on; relay hums and falls; the yellow
    block holds a fifth; display pale for a year, now blank; 12 V is 6 when the relay is in; dropper cap lost
    capacitance; relay will not pull in; capacitor dropper weak; X2 cap measures 90 nF of 330; voltage collapses
    when the relay turns on; LED lamp got dim over time; clock runs, contact drops; 13 V of 24; faint for
    months, now blank; sensor lamp blinks at dusk by itself; dropper 110 of 330 nF
  `),
  'regulator-shorted': phrasesOf(`
    7805 lets everything through; input and output of the regulator are joined; output equals the rectified
    voltage; pass transistor collector to emitter short; logic chips boil; three-legged regulator reads zero
    between in and out; LM317 gives full input; output 17 V, unregulated; 7812 shorted in to out; regulator
    passes the raw voltage; the 7805 gives 12 V; 3-terminal regulator shorted; series pass transistor shorted;
    in and out of the regulator are one; the three-legged part lets all through; 13 V where 5 should be, hum
    with it; regulator without regulation; regulator shorted input to output; 7805 puts out 9 V; voltage
    regulator failed short; unregulated voltage on the output; pass transistor shorted; output same as input; 5
    V is 9.4, hum on it; regulator in to out 0.8 ohm; logic hot; pass transistor through
  `),
  'store-capacitor-faded': phrasesOf(`
    spark is thin and yellow; pulse much weaker than it was; flash is dim but ready at once; charges in an
    instant; cap of the pulse reads a tenth; fence bites no more; click but hardly any kick; engine misfires at
    high revs; discharge capacitor has lost its capacity; energiser weak; only a faint tick on the fence; sparks
    are feeble; CDI cap measures 0.2 of 1 uF; a spark like a hair; full at once, bang is small; block capacitor
    0.3 of 2.2 uF; horse leans on the fence now; discharge capacitor low; weak spark; energizer output weak;
    storage cap lost capacitance; pulse weak, voltage on the cap is right; flash dim; ticks each second as ever,
    meter of the fence shows nothing; charges much faster than it used to; flash weak; store 0.8 of 14 uF
  `),
  'pulse-switch-shorted': phrasesOf(`
    store stays near zero; thyristor conducts both ways; charging circuit strains and the store does not fill;
    SCR anode to cathode 2 ohm; whistles low as if into a short; no click any more, charging resistor hot; IGBT
    shorted; SCR is shorted; thyristor blown short; storage cap will not charge, 2 V; BT151 A-K zero; the charge
    resistor glows; the store has no volts and the charger groans; thyristor one wire from anode to cathode;
    charging resistor smokes; nothing gathers in the block; SCR shorted; storage capacitor does not charge;
    thyristor shorted anode to cathode; cap voltage stays low, inverter loaded down; IGBT shorted across the
    pulse cap; inverter whines, store stays at 4 V; thyristor 0.5 ohm; clicks once, then silent; charging
    resistor too hot to touch
  `),
  'cable-broken': phrasesOf(`
    the lead is stiff and split near the plug; works if I hold the plug sideways; puppy had it; wire visible at
    the strain relief; barrel plug wobbly; volts inside but none at the end of the lead; a chair rolled over the
    cord; the inner of the plug is loose; plus wire broken inside its sleeve; DC lead broken inside; the plug's
    centre pin is loose; cable broken at the strain relief; output wire open; you must bend the cord for it to
    charge; wire break near the connector; only if the plug is pulled to the left; 19 V inside, outside nothing;
    the lead was shut in a door; core of the lead broken at the bend; a rat was at the cord; broken wire in the
    cord; DC plug intermittent; cable bad at the strain relief; wiggle the cable and it charges; output good
    inside the case, none at the plug; broken conductor; connector worn out; dog chewed the cord; charges only
    with the lead held; wall end twisted it works; barrel warm, sags at the plug; lead pulled by the cat; case
    fine, plug end dead; sleeve kinked; loses contact when carried
  `),
  'led-string-open': phrasesOf(`
    one chip of the strip has a black centre; a third of the strip is out; string reads open; light goes off as
    soon as it lit, output shoots up; half of the panel dark; one LED bridged and it lights again; output at its
    limit, lamp dark; backlight flashes and goes out; one LED burnt out, the whole string is dark; driver shows
    60 V open-circuit, no light; LED open; dead LED in the series string; black dot on one LED; strip measured
    open; one pearl black, the row out; lights for a wink and goes, output at the top; the row reads OL; two
    pearls bridged and it shines; panel dark, 200 V at its plug; one LED open; LED string open, driver at max
    voltage; backlight LED failed; light flashes once then off; driver OK with another string; dead LED in the
    strip; dark section on the lamp; backlight flares and goes; driver gives 58 V open, no light; strip OL;
    pulses about once a second, follows the lamp; picture seen with a torch; one LED with a black dot
  `),
} as const;
