/** What lay in the drawers of Skerry Barn before anybody kept a record; invented. */
export const DRAWERS = `kind,subtype,marking,package,grade,pieces,bin,resistance,capacitance,voltage,inductance,current,vout,note,saturation,dcr,vds,id,rdsOn,iout
resistor,,,axial,,220,R1-1,10k,,,,,,a strip of them
resistor,,,axial,,180,R1-2,4k7,,,,,,a strip of them
resistor,,,axial,,140,R1-3,1k,,,,,,
resistor,,,axial,,96,R1-4,100,,,,,,
resistor,,,axial,,60,R1-5,1M,,,,,,
resistor,,,2512,,40,R1-6,0R22,,,,,,
capacitor,ceramic,,disc,,200,K1-1,,100n,50V,,,,
capacitor,ceramic,,disc,,75,K1-2,,10n,50V,,,,
capacitor,ceramic,,0805,,300,K1-3,,1u,25V,,,,
capacitor,ceramic,,disc,,60,K1-5,,1n5,100V,,,,
capacitor,film,,box,A,14,K1-4,,470n,63V,,,,
capacitor,electrolytic,,radial,,9,K2-1,,47u,50V,,,,from the radio
capacitor,electrolytic,,radial,,12,K2-2,,10u,35V,,,,
capacitor,electrolytic,,snap-in,,2,K2-3,,68u,450V,,,,never tested
optocoupler,,817C,DIP-4,,16,U1-1,,,,,,,
shunt-reference,,TL431,TO-92,,22,U1-2,,,,,,2.495V,
regulator,,7812,TO-220,A,7,U1-3,,,,,,12V,
regulator,,LM317,TO-220,A,5,U1-3,,,,,,,
relay,,,,,3,M1-1,,,12V,,8A,,
fan,,,,B,2,M1-2,,,12V,,0.16A,,80 mm
heat-sink,,,,,6,M1-3,,,,,,,black fins
connector,,,,,11,M2-1,,,,,6A,,two-pin mains inlets
inductor,,,toroid,A,3,L1-1,,,,47u,6A,,from a board of a ship’s radio,8A,25m,,,
inductor,,,drum,B,5,L1-2,,,,100u,3A,,,3.6A,70m,,,
inductor,,,toroid,A,2,L1-3,,,,220u,2.5A,,,3A,110m,,,
transformer,,,EF25,B,2,L2-1,,,,,,,cores to wind; their bobbins are whole,,,,,
nmos,planar,,TO-220,A,4,Q1-1,,,,,,,sixty-volt switch of a motor board,,,60V,50A,16m
nmos,planar,,TO-220,A,3,Q1-2,,,,,,,,,,100V,30A,44m
assembly,,,,A,3,M1-4,,,,,,5V,step-down boards out of routers,,,,,,2A
wire,,red 0.75,,,20,M2-2,,,,,,,metres
`;
