import { phrasesOf } from './phrase';

/** What people write that tells nothing of the fault; common practice, no source. */
export const PLAIN = phrasesOf(`
    bought at a flea market; label half torn off; case glued, not screwed; four screws under the feet; serial number starts with
    a letter; the previous owner painted it white; came in a box with others; weighs more than it looks; smells of old cellar
    and tobacco; used for a label printer; has a green LED; the cord is three metres long; made in a series of many; board is
    single-sided; two heat sinks of aluminium; somebody wrote a date on it; date code says week 12; stands in the tool room; I
    have the other half of the case; there was a coin inside; cable tie round the cord; the lid is bent a little; a sticker
    covers the screw; the printer it fed works; photo attached; the inlet is of the figure-eight kind; board has conformal
    coating; the transformer carries a yellow tape; has no power switch; was in daily use until Friday; it is about eight years
    old; given to me by a neighbour; the plug is of the flat kind; the output lead ends in a barrel plug; glue between the parts;
    the board is brown paper laminate; two transistors on one sink; the fuse sits under heat shrink; the case was opened before;
    the screws were missing; the chip's marking is sanded off; one capacitor is a different make; the resistors are all in a row;
    the transformer is wrapped in copper foil; the LED is red; the same kind as the one on the shelf; it served a router; the
    lamp in the ceiling; found in the attic; a dead fly beside the bulk capacitor; a wasp nest in the corner; it was sold as new;
    the diode is on the heat sink; the relay is on the board; a coil stands beside the bridge; the cans are of two makes; I do
    not know what happened; nobody saw it fail; it was somebody else's; the meter's battery is new; measured with a cheap meter;
    the can is rated 105 degrees; the standby transformer is the small one; there is an optocoupler; it has a potentiometer; the
    chip has eight legs; the output is 12 V; the switch is on the back; the fan is small; a sticker with the date of a repair
`);
