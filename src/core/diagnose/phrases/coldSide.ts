import { phrasesOf } from './phrase';

/** What people write of units with faults of the output, its regulation, and the auxiliary and standby supplies; common practice, no source. */
export const COLD_SIDE = {
  'output-rectifier-shorted': phrasesOf(`
    output reads a short to ground with nothing connected; double diode on the heat sink beeps from outer leg to
    tab; secondary diode both ways zero; starts for a blink and cuts off; 0.3 ohm across the output terminals;
    fan jerks once and stops; cathode to anode of the Schottky conducts both ways; with the secondary diode
    lifted the primary swings normally; MBR20100 reads zero both directions; secondary rectifier is a dead
    short; output resistance 0.4 ohm with no load; the fan moves a little and stops, again and again; trr, trr,
    trr and no output; diode on the secondary heat sink is shorted; 12 V output measures short to ground; it
    trips at start and locks; the twin diode conducts backwards; output to ground 0.2 ohm, load off; the lamp in
    series glows in beats; goes tick, tick, with nothing at the output; secondary diode out: the primary runs;
    both legs of the twin to tab zero; output diode shorted; secondary Schottky reads 0 ohms; ticks, output near
    zero, diode shorted; short on the secondary with nothing plugged in; dual Schottky on the heat sink shorted;
    supply cycles, output rectifier bad; removed the output diode and the ticking stopped; output reads dead
    short, cap is fine; ticks with no load and the output at half a volt; twin diode A1 to K zero, A2 good;
    chirps, output near zero, the cans good out of circuit; D6 0.00 both ways; fan twitches once, off until
    unplugged; output wires to each other 0.5 ohm with all unplugged; hot spot at the secondary sink in seconds
  `),
  'output-rectifier-open': phrasesOf(`
    one half of the double diode reads open; output half of what it should, ripple at switching frequency;
    secondary diode cracked through; only one winding half feeds the output; no volts after the diode, pulses
    before it; winding has pulses, the can behind the diode has nothing; 12 V rail dead, 5 V right; the 12 V
    diode has no forward drop in either direction; one of the twin diodes is gone; rectifier leg cracked off;
    secondary AC is there, DC is not; half wave on the output only; one leg of the twin diode has let go; only
    half the pulses behind the rectifier; rectifier cold while the other is hot; 5 V there, 12 V rail at zero;
    diode's leg is unsoldered inside; output diode open; 12 V missing, others OK; one diode of the pair is open;
    diode cracked, no output on that rail; AC on the diode's anode, nothing on its cathode; low output with lots
    of ripple, half the rectifier dead; one rail gone, the others as they should; 24 V zero, 5 V right, winding
    beeps; diode open, pulses on its anode; choke fed from half the diode; half the volts on that rail and hum
    from the coil; rectifier leg broken at the body
  `),
  'sync-fet-shorted': phrasesOf(`
    one of the secondary transistors beeps drain to source; output terminals short, no diodes, just FETs; SO-8
    on the output side is cracked; starts for a moment and cuts out, new LLC chip no help; rectifier transistor
    conducts both ways; hot spot on one small FET of the secondary; core rail shorted to ground, 0.2 ohm;
    secondary FET has a burn mark; synchronous MOSFET shorted D-S; one SR FET is 0 ohm; secondary side SO-8 got
    a bubble; the FETs that replace the rectifiers: one is short; output shorted, lifting one secondary FET
    cleared it; one of four FETs on the output side has 0 ohm; shorted output, gone when the second SO-8 is off;
    a flat transistor of the secondary has a pimple; drain and source of the rectifying FET one wire; sync
    rectifier MOSFET shorted; output shorted by a secondary FET; SR controller and FET blown; secondary MOSFET
    reads 0 ohms drain to source; tries to start, secondary FET shorted; no diodes on the output, one of the
    FETs is shorted; Q4 drain to source 0.002; source of the bench goes into current limit at once; core rail to
    ground next to nothing; coil end to ground 0.3 ohm; low-side transistor of one phase shorted; one phase has
    its lower FET shorted; board shuts off within a blink, core at zero; one of the SO-8s at the output warms
    with 1 V fed in; short at the output, no diode there, six flat FETs
  `),
  'output-capacitors-dry': phrasesOf(`
    tops of the two green cans are rounded; drops out when the disk starts; picture has moving bars; restarts
    when the radio is turned up; cans near the heat sink lost their juice; needs the output cans warmed with a
    hair dryer; noise on the line, 400 mV of it; gets better when a new can is held across; voltage looks right
    on the meter, device crashes; 1000 uF reads 90 uF; the caps on the low-voltage side lean and have grown
    hats; puffed caps on the output; the output filter caps have high ESR; 300 mV ripple at 60 kHz; PC crashes
    under load; adding a 1000 uF in parallel cures it; output capacitors look like mushrooms; device reboots
    when WiFi starts; 2200uF cap measures 300; brown goo under the output caps; radio whistles, worse when cold;
    three cans beside the lead have domed heads; screen wavers and goes dark when bright; set restarts at each
    loud passage; scope shows teeth of half a volt; with a new can tacked over the output all is quiet; brown
    crust at the foot of the secondary cans; was fine for years in a warm cupboard, now freezes often; bulging
    output caps; output caps high ESR; voltage drops under load; monitor flickers and then shuts off; lots of
    high frequency ripple; replaced bulging caps in the other one too; capacitors leaking on the secondary;
    works without load, collapses with load; swollen caps near the output connector; noise in the audio at
    switching frequency; takes a while to power up, screen blinks; caps are ten years old next to a hot heat
    sink; lamps of the router flash together; device reboots as its radio comes on; sags with load, ESR 4 ohm;
    swollen tops beside the output lead; hiss in the headphones; falls by a volt when the drive spins up; screen
    dims and comes back; cans at the hot sink, ten years day and night; lines crawl over the picture till it
    warms; fish smell; minus rail sags, its can dry
  `),
  'bulk-dry': phrasesOf(`
    hum bars in the sound; big can reads 10 uF of 100; voltage on the mains can dips to 150 V at load; 100 Hz on
    the output; cuts out in the moment a motor in the house starts; buzz from the loudspeaker; works on 240 V
    but not on 200 V; big can's sleeve shrunk back; output follows the mains when a kettle switches on; primary
    electrolytic has lost its capacity; 100 Hz ripple of 2 V; mains capacitor measures 12 uF, says 68; DC on the
    bulk swings by 120 V; drops out at every mains dip; hum in the audio, twice mains frequency; can on the
    primary is bulging; the big can has a tenth left; twice-mains ripple on everything; loses its output when
    the lights dim; the can at the bridge is tired: 20 of 100 uF; mains can lukewarm and light in the hand; saw
    of 80 V on the can at full load; main cap lost capacitance; 120 Hz hum; bulk cap reads 15 uF instead of 100;
    ripple at twice line frequency; brown-outs under load; primary cap bulged; DC bus sags under load; shuts
    down when the line voltage drops a bit; heavy ripple on the DC bus; deep hum from both boxes; hum since
    years, louder now; can 40 of 470 uF; works in the evening, drops at dinner time when mains is low; 100 Hz on
    every rail; bulk dips to 140 V at full load; one of the two bulk cans has lost its value; sleeve of the big
    can shrunk; restarts at each flicker of the mains; all rails sag together under load
  `),
  'feedback-open': phrasesOf(`
    a divider resistor drifted high; the trimmer has a dirty wiper; output 19 V instead of 12; lower resistor at
    the reference shorted by a solder splash; output went up slowly over weeks; output climbs until the
    protection trips; someone bent the trimmer; a drop of flux between the pins of the divider; upper divider
    resistor reads 1 Mohm; resistor in the feedback divider is 200k, should be 10k; pot of the output voltage is
    worn; voltage cannot be adjusted, stays at max; sense wire off; track between output and divider cracked;
    output at 17.5 rises further when warm; 10k of the divider open; one resistor of the pair at the reference
    went open; somebody turned the trimmer; dirt between divider and plus; 12 became 16 after a drop of water;
    resistor from output to the reference reads OL; feedback resistor open; output voltage too high, divider
    resistor bad; adjustment pot open; output overshoots and shuts down; broken trace in the feedback; upper
    feedback resistor has drifted high; lower divider resistor shorted; regulation lost, connection to the
    divider broken; divider's upper resistor open; trimmer turned to its stop; new lamp burnt out at once, volts
    too high; 19 V of 12, opto and reference good; output drifts up with damp weather; rust on the divider;
    wiper of the trimmer makes no contact; solder bridge at the divider
  `),
  'optocoupler-dead': phrasesOf(`
    LED side of the opto fine, its transistor never conducts; opto LED reads open; current transfer is a tenth
    of a new one's; shorting the transistor side brings the volts down; new reference, no change, 4-legged part
    gives nothing; opto weak, volts run off once it is warm; with 5 mA into the opto's LED the other side stays
    open; PC817 dead; optocoupler CTR nearly zero; LED in the optocoupler is open; no light through the coupler;
    PC817's output never turns on with 10 mA in; coupler bad; feeding its LED by hand changes nothing; the
    coupler gives a fifth of what a new one gives; bridging the coupler's output brings it down; coupler is
    deaf; LED of the coupler reads OL both ways; bad optocoupler; opto has low CTR; optocoupler's LED open; no
    feedback through the opto; shorting the opto output stops the supply; output unregulated, opto dead; opto
    transistor open; opto's dark side never conducts; after an hour the volts run up, cold spray on the opto
    brings them down; opto replaced: right; the four-legged part by the slot is at fault; LED of the opto jumps
    when warmed; bridging the opto's collector to emitter stops it
  `),
  'reference-dead': phrasesOf(`
    the little three-legged part at the divider does not sink; 431 shorted cathode to anode; its ref pin is at 3
    V and the cathode stays up; the three-legged regulator of the feedback is cracked; voltage at the cathode
    never moves; 432 replaced and it was fine in the other unit; REF 2.5 V right but cathode stuck low; TL431
    does not conduct; 431's cathode stays at the supply though ref is 2.9; shunt regulator open; the TO-92 at
    the divider is dead; replaced the TL431 and it is back at 12 V; reference ignores its input; the
    three-legged one stays shut at 3 V; its cathode hangs high; a new 431 and it is right; reference cathode to
    anode 2 ohm; TL431 bad; shunt reference does not regulate; 431 open; reference voltage wrong, 3.2 V at its
    ref pin; replaced the 431, voltage is right again; the 431 does not pull its cathode down; REF at 3.2 V,
    cathode does not pull; 431's cathode high though its input is over; low output whatever the load, reference
    stuck on; new opto no change, reference suspect; reference conducts at 1.9 V; three-legged regulator at the
    output does nothing
  `),
  'auxiliary-winding-open': phrasesOf(`
    aux winding open; auxiliary diode open, chip starts and dies; VCC collapses right after start; bias winding
    has no continuity; starts, runs a moment, VCC falls to the lower threshold, repeats; fed from the bench at
    its VCC it runs fine; no volts from the auxiliary winding; the resistor in the auxiliary feed is open;
    winding between pin 4 and 5 has no continuity; chip is not sustained after start-up; with an outside 15 V on
    the chip it runs for hours; aux rectifier open; third winding broken at the pin; chip supply climbs to 16,
    falls to 10, climbs again; housekeeping winding gives nothing; VCC saw-tooth, VCC cap new; bias rectifier
    reads open both ways; the helper winding's wire corroded through at the pin; blinks for as long as you let
    it, cans new; feed climbs to 16, falls to 9, without end; runs while a bench supply feeds the chip, stops
    when it is taken away; resistor in the auxiliary feed open, marked 22 ohm; output full for an instant at
    each try; pins of the small winding OL
  `),
  'standby-capacitor-dry': phrasesOf(`
    standby comes up after a minute of ticking; needs the switch at the back off and on many times; 5VSB sags to
    3 V as soon as anything draws; little can by the standby transformer is dry; after each holiday it refuses;
    standby volts rise slowly with a hair dryer; purple wire 4.2 V; pressing the power button does nothing
    unless it is warm in the room; standby trafo chirps, 5VSB at 1.5 V; PC starts only after the plug has been
    in for an hour; 10 uF 50 V at the standby transistor has 30 ohm ESR; +5VSB pulsating; green wire shorted,
    nothing, standby is 2 V; must be left plugged for the night to start; the standby stutters; two small cans
    by the little transformer read 0.2 uF; comes up only when the room is heated; standby creeps up to 5 V in a
    minute; the button has to be pressed ten times; standby cap dried up; 5VSB weak; small cap in the standby
    circuit high ESR; PC will not turn on when cold; standby supply ticking; 5VSB fluctuates; standby LED
    blinks; takes an hour on the wall before it will power on; standby 0.4 V, bulk 318 V; standby light pulses;
    starts only on the fifth press; small can of the standby 40 ohm; standby ticks like a clock; after weeks
    unplugged it did not come up; purple 2.8 V and trembling
  `),
  'standby-switch-shorted': phrasesOf(`
    the standby transistor's case burst; fuse blew while the machine was switched off; little transistor near
    the small transformer shorted; blew overnight, nobody near; the fusible before the standby is open and its
    chip has a crater; DIP-8 of the standby cracked; small TO-220 beside the little transformer beeps; standby
    FET short; it went bang while in standby; the main transistors are fine, the small one of the 5VSB is
    shorted; 2N60 at the standby trafo is shorted; aux supply chip exploded; standby transistor in pieces, the
    big ones whole; died at night, plugged in and off; resistor before the small converter burnt, its transistor
    shorted; the eight-legged chip beside the small transformer has burst; standby MOSFET shorted; standby
    controller blown apart; fuse blew while in standby; primary standby transistor shorted, main FETs fine;
    standby chip has a crater; the small converter's switch is a dead short; went in standby with a snap, main
    FETs good; small chip by the small transformer has a hole; Q10 shorted, its emitter resistor open; fuse blew
    in the night; standby chip drain to source 2 ohm
  `),
  'standby-unprotected': phrasesOf(`
    boards behind it die one after another; purple at 9 V; two transistors and no opto in the standby; third
    motherboard it has killed; 5VSB rises without limit; memory and USB devices dead after it; caps of the 5 V
    standby bulged again after being renewed; 5VSB is 11 V; it kills the mainboards; standby goes to 8 V without
    load; USB sticks fried; the board's southbridge is burnt; the standby runs away as its feedback cap is dry;
    board after board dies on it; two-transistor standby without opto; the new board died as well; the dried can
    in its feedback lets it run up; 5VSB is over 7 V; standby fried the motherboard; self-oscillating standby
    runs high; 5VSB output caps blown up; killed two motherboards; the standby has no overvoltage protection;
    critical cap in the standby is dry and the voltage soars; standby at 9 to 12 V; it has eaten two boards; no
    optocoupler in the standby, a zener does it; telephone hot, then dead, no opto in the plug; the memory of
    each new board dies
  `),
} as const;
