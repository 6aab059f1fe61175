import type { KindName } from '../../part';

/** A marking with the reading a person who knows the trade would give it. */
export interface MarkingCase {
  readonly marking: string;
  readonly kind: KindName;
  readonly ratings: Readonly<Record<string, number>>;
  readonly facts: Readonly<Record<string, string>>;
  /** Whether the reading must come first without a word on the kind. */
  readonly alone: boolean;
  readonly source: string;
}

/**
 * One marking a line: marking | kind | ratings and facts. A `*` before the marking: it must be read
 * first even when nothing says what kind of part it is. A line that begins with `#` names the source.
 */
const TABLE = `
# IEC 60062, from memory: digits and letter codes of resistors
472 | resistor | resistance=4700 tolerance=0.05
103 | resistor | resistance=10000 tolerance=0.05
221 | resistor | resistance=220
100 | resistor | resistance=10
000 | resistor | resistance=0
0 | resistor | resistance=0
105 | resistor | resistance=1e6
4992 | resistor | resistance=49900 tolerance=0.01
1000 | resistor | resistance=100
1502 | resistor | resistance=15000
2001 | resistor | resistance=2000
8250 | resistor | resistance=825
*4K7K | resistor | resistance=4700 tolerance=0.1
*4K7 | resistor | resistance=4700
*R47 | resistor | resistance=0.47
*R22J | resistor | resistance=0.22 tolerance=0.05
*0R33 | resistor | resistance=0.33
*1M0 | resistor | resistance=1e6
*2M2F | resistor | resistance=2.2e6 tolerance=0.01
*47R | resistor | resistance=47
*100R | resistor | resistance=100
*10K | resistor | resistance=10000
*22KJ | resistor | resistance=22000 tolerance=0.05
*49R9 | resistor | resistance=49.9
*R005 | resistor | resistance=0.005
*R010 | resistor | resistance=0.01
5L00 | resistor | resistance=0.005
2E2 | resistor | resistance=2.2
5m0 | resistor | resistance=0.005
*5W0R47J | resistor | resistance=0.47 power=5 tolerance=0.05
*2W47RJ | resistor | resistance=47 power=2
*10W4K7K | resistor | resistance=4700 power=10 tolerance=0.1
# EIA-96, from memory; check values of the codes derived from E96
01C | resistor | resistance=10000 tolerance=0.01
18A | resistor | resistance=150
30B | resistor | resistance=2000
51C | resistor | resistance=33200
68X | resistor | resistance=49.9
02Y | resistor | resistance=1.02
96D | resistor | resistance=976000
85R | resistor | resistance=7.5 tolerance=0.01
# IEC 60062 and EIA/JIS voltage codes, from memory: capacitors
104 | capacitor | capacitance=1e-7
473K | capacitor | capacitance=4.7e-8 tolerance=0.1
229 | capacitor | capacitance=2.2e-12
220 | capacitor | capacitance=2.2e-11
22 | capacitor | capacitance=2.2e-11
102J | capacitor | capacitance=1e-9 tolerance=0.05
681K | capacitor | capacitance=6.8e-10
101J | capacitor | capacitance=1e-10 tolerance=0.05
479C | capacitor | capacitance=4.7e-12
103Z | capacitor | capacitance=1e-8 tolerance=0.8
*2A102J | capacitor | capacitance=1e-9 tolerance=0.05 voltage=100
*2E474K | capacitor | capacitance=4.7e-7 tolerance=0.1 voltage=250
*3A103K | capacitor | capacitance=1e-8 voltage=1000
*1H105M | capacitor | capacitance=1e-6 voltage=50
*2J104J | capacitor | capacitance=1e-7 voltage=630
*2G223K | capacitor | capacitance=2.2e-8 voltage=400
*3D102K | capacitor | capacitance=1e-9 voltage=2000
*0J107M | capacitor | capacitance=1e-4 voltage=6.3
*1C226M | capacitor | capacitance=2.2e-5 voltage=16
*4p7 | capacitor | capacitance=4.7e-12
*2n2 | capacitor | capacitance=2.2e-9
*u22 | capacitor | capacitance=2.2e-7
*100n | capacitor | capacitance=1e-7
*3n3J | capacitor | capacitance=3.3e-9 tolerance=0.05
*u47K250 | capacitor | capacitance=4.7e-7 tolerance=0.1 voltage=250
*470nK63 | capacitor | capacitance=4.7e-7 tolerance=0.1 voltage=63
# Common practice, no source: values as film, disc, tantalum and can makers print them
*.47K | capacitor | capacitance=4.7e-7 tolerance=0.1
*0.1 | capacitor | capacitance=1e-7
*0.22K | capacitor | capacitance=2.2e-7
*.1J100 | capacitor | capacitance=1e-7 voltage=100
*2.2J250 | capacitor | capacitance=2.2e-6 voltage=250
104J100 | capacitor | capacitance=1e-7 tolerance=0.05 voltage=100
473J630 | capacitor | capacitance=4.7e-8 voltage=630
*102K2KV | capacitor | capacitance=1e-9 tolerance=0.1 voltage=2000
*103Z 1KV | capacitor | capacitance=1e-8 voltage=1000
*4700 250V | capacitor | capacitance=4.7e-9 voltage=250
*82uF 400V 105°C | capacitor | capacitance=8.2e-5 voltage=400 temperature=105
*1000µF 16V | capacitor | capacitance=1e-3 voltage=16
*400V 120uF 105C | capacitor | capacitance=1.2e-4 voltage=400 temperature=105
*105°C 25V 2200µF LOW ESR | capacitor | capacitance=2.2e-3 voltage=25 temperature=105
*470UF35V | capacitor | capacitance=4.7e-4 voltage=35
*47U35V | capacitor | capacitance=4.7e-5 voltage=35
*10µF 50V 85°C | capacitor | capacitance=1e-5 voltage=50 temperature=85
*3300uF 6.3V | capacitor | capacitance=3.3e-3 voltage=6.3
*100 16V | capacitor | capacitance=1e-4 voltage=16
*220 25V | capacitor | capacitance=2.2e-4 voltage=25
*0.22 MFD 275V~ X2 | capacitor | capacitance=2.2e-7 voltage=275 safetyClass=X2
*0.47µF 275V~ X2 40/110/56 | capacitor | capacitance=4.7e-7 voltage=275 temperature=110 safetyClass=X2
*X2 0.1uF K 310VAC MKP | capacitor | capacitance=1e-7 voltage=310 tolerance=0.1 safetyClass=X2
*474K 275V~ X2 | capacitor | capacitance=4.7e-7 voltage=275 safetyClass=X2
*222M Y1 400V~ | capacitor | capacitance=2.2e-9 voltage=400 safetyClass=Y1
*Y2 4n7 250V~ | capacitor | capacitance=4.7e-9 voltage=250 safetyClass=Y2
*X1 440V~ Y2 300V~ 2200pF | capacitor | capacitance=2.2e-9 voltage=300
*X1Y1 102M 250V~ 400V~ | capacitor | capacitance=1e-9 voltage=250
*X7R 104K 50V | capacitor | capacitance=1e-7 voltage=50 temperature=125
*NP0 101J 500V | capacitor | capacitance=1e-10 voltage=500
*MKT 0.33 100V | capacitor | capacitance=3.3e-7 voltage=100
*10nF 630V- | capacitor | capacitance=1e-8 voltage=630
476C | capacitor | capacitance=4.7e-5 voltage=16
107A | capacitor | capacitance=1e-4 voltage=10
A107 | capacitor | capacitance=1e-4 voltage=10
# Common practice, no source: chokes
101 | inductor | inductance=1e-4
101K | inductor | inductance=1e-4 tolerance=0.1
4R7 | inductor | inductance=4.7e-6
R47 | inductor | inductance=4.7e-7
47N | inductor | inductance=4.7e-8
330 | inductor | inductance=3.3e-5
222J | inductor | inductance=2.2e-3
1R0M | inductor | inductance=1e-6 tolerance=0.2
*10mH | inductor | inductance=0.01
*33uH | inductor | inductance=3.3e-5
*4.7µH | inductor | inductance=4.7e-6
# Practice tables, industry-wide, from memory: varistors and thermistors
*10D561K | varistor | vn=560 tolerance=0.1 diameter=0.01
*14D471K | varistor | vn=470 diameter=0.014
*7D391K | varistor | vn=390 diameter=0.007
*07D471K | varistor | vn=470 diameter=0.007
*20D431K | varistor | vn=430 diameter=0.02
*S10K275 | varistor | vn=430 diameter=0.01
*S14K300 | varistor | vn=470 diameter=0.014
*471KD14 | varistor | vn=470 diameter=0.014
*TVR10471 | varistor | vn=470 diameter=0.01
*10D102K | varistor | vn=1000 diameter=0.01
*5D-9 | thermistor | r25=5 diameter=0.009
*10D-11 | thermistor | r25=10 diameter=0.011
*2.5D-15 | thermistor | r25=2.5 diameter=0.015
*47D-15 | thermistor | r25=47 diameter=0.015
*NTC 8D-11 | thermistor | r25=8 diameter=0.011
*3D20 | thermistor | r25=3 diameter=0.02
103 | thermistor | r25=10000
# IEC 60127, from memory: fuses
*T3.15AL250V | fuse | current=3.15 voltage=250 breaking=35 speed=T
*T6.3AL250V | fuse | current=6.3 breaking=63
*F2A250V | fuse | current=2 voltage=250 speed=F
*T2AH250V | fuse | current=2 breaking=1500
*T1AE250V | fuse | current=1 breaking=150
*T 3,15A 250V | fuse | current=3.15 voltage=250
*FF10A | fuse | current=10 speed=FF
*T500mAL250V | fuse | current=0.5 breaking=35
*250V T2AH | fuse | current=2 breaking=1500 voltage=250
*5A 250V | fuse | current=5 voltage=250
*M1.6A250V | fuse | current=1.6 speed=M
T4A | fuse | current=4 speed=T
# Multi-source datasheets, from memory: diodes
*1N4001 | diode | ifav=1 vrrm=50
*1N4004 | diode | ifav=1 vrrm=400
*1N4007 | diode | ifav=1 vrrm=1000
*1N5399 | diode | ifav=1.5 vrrm=1000
*1N5404 | diode | ifav=3 vrrm=400
*1N5408 | diode | ifav=3 vrrm=1000
*1N5817 | diode | ifav=1 vrrm=20
*1N5819 | diode | ifav=1 vrrm=40
*1N5822 | diode | ifav=3 vrrm=40
*1N4148 | diode | ifav=0.15 vrrm=100
*UF4004 | diode | ifav=1 vrrm=400
*UF4007 | diode | ifav=1 vrrm=1000
*UF5408 | diode | ifav=3 vrrm=1000
*FR107 | diode | ifav=1 vrrm=1000
*FR157 | diode | ifav=1.5 vrrm=1000
*FR207 | diode | ifav=2 vrrm=1000
*FR304 | diode | ifav=3 vrrm=400
*HER108 | diode | ifav=1 vrrm=1000
*HER208 | diode | ifav=2 vrrm=1000
*SF18 | diode | ifav=1 vrrm=600
*RL207 | diode | ifav=2 vrrm=1000
M7 | diode | ifav=1 vrrm=1000
*RS1M | diode | ifav=1 vrrm=1000
*ES2D | diode | ifav=2 vrrm=200
*US1J | diode | ifav=1 vrrm=600
*RGP10J | diode | ifav=1 vrrm=600
*BYV26C | diode | ifav=1 vrrm=600
*BA159 | diode | ifav=1 vrrm=1000
*6A10 | diode | ifav=6 vrrm=1000
*BAT54 | diode | ifav=0.2 vrrm=30
*BAV21 | diode | ifav=0.2 vrrm=200
*DB3 | diode | vz=32
# Common practice, no source: current and voltage in the number
*SS14 | diode | ifav=1 vrrm=40
*SS34 | diode | ifav=3 vrrm=40
*SS310 | diode | ifav=3 vrrm=100
*SK54 | diode | ifav=5 vrrm=40
*SB560 | diode | ifav=5 vrrm=60
*SR360 | diode | ifav=3 vrrm=60
*SR5100 | diode | ifav=5 vrrm=100
*SB1100 | diode | ifav=1 vrrm=100
*MBR745 | diode | ifav=7.5 vrrm=45
*MBR1045 | diode | ifav=10 vrrm=45
*MBR2045 | diode | ifav=20 vrrm=45
*MBR20100CT | dual-diode | ifav=20 vrrm=100
*MBR3045PT | dual-diode | ifav=30 vrrm=45
*MBRF10100CT | dual-diode | ifav=10 vrrm=100
*MBR20200CT | dual-diode | ifav=20 vrrm=200
*MBR30H100CT | dual-diode | ifav=30 vrrm=100
*SBL2040CT | dual-diode | ifav=20 vrrm=40
*STPS2045CT | dual-diode | ifav=20 vrrm=45
*STPS30L60CT | dual-diode | ifav=30 vrrm=60
*2045CT | dual-diode | ifav=20 vrrm=45
*MUR460 | diode | ifav=4 vrrm=600
*MUR1560 | diode | ifav=15 vrrm=600
*MUR1620CT | dual-diode | ifav=16 vrrm=200
*MUR1100 | diode | ifav=1 vrrm=1000
*MUR4100 | diode | ifav=4 vrrm=1000
*MUR8100 | diode | ifav=8 vrrm=1000
*MUR10120 | diode | ifav=10 vrrm=1200
*RHRP1560 | diode | ifav=15 vrrm=600
*STTH8L06 | diode | ifav=8 vrrm=600
*STTH1R06 | diode | ifav=1 vrrm=600
*F16C20C | dual-diode | ifav=16 vrrm=200
*S20C45C | dual-diode | ifav=20 vrrm=45
*C3D06060A | diode | ifav=6 vrrm=600
# Pro Electron and JEDEC numbering, from memory: zeners and surge clamps
*BZX85C5V1 | diode | vz=5.1 tolerance=0.05
*BZX55C12 | diode | vz=12 tolerance=0.05
*BZX84-C15 | diode | vz=15
*BZV85B24 | diode | vz=24 tolerance=0.02
5V1 | diode | vz=5.1
C18V | diode | vz=18
*1N4733A | diode | vz=5.1
*1N4742A | diode | vz=12
*1N4744 | diode | vz=15
*1N5231B | diode | vz=5.1 tolerance=0.05
*1N5349B | diode | vz=12
*P6KE200A | diode | vz=200
*1.5KE400A | diode | vz=400
*SMBJ15CA | diode | vrrm=15
*SMAJ58A | diode | vrrm=58
# Common practice, no source: bridges
*GBU4J | bridge | ifav=4 vrrm=600
*GBU8K | bridge | ifav=8 vrrm=800
*GBU806 | bridge | ifav=8 vrrm=600
*GBU1510 | bridge | ifav=15 vrrm=1000
*KBP206 | bridge | ifav=2 vrrm=600
*KBU6M | bridge | ifav=6 vrrm=1000
*KBL406 | bridge | ifav=4 vrrm=600
*GBJ2510 | bridge | ifav=25 vrrm=1000
*KBPC3510 | bridge | ifav=35 vrrm=1000
*DB107 | bridge | ifav=1 vrrm=1000
*RS407 | bridge | ifav=4 vrrm=1000
*MB6S | bridge | ifav=0.5 vrrm=600
*MB10F | bridge | ifav=0.5 vrrm=1000
*ABS10 | bridge | ifav=1 vrrm=1000
*D15XB60 | bridge | ifav=15 vrrm=600
*B250C1500 | bridge | ifav=1.5 vrrm=600
*2W10 | bridge | ifav=2 vrrm=1000
# Common practice, no source: field-effect transistors by their number
*12N65 | nmos | id=12 vds=650
*2N60 | nmos | id=2 vds=600
*4N60C | nmos | id=4 vds=600
*7N65 | nmos | id=7 vds=650
*10N60 | nmos | id=10 vds=600
*50N06 | nmos | id=50 vds=60
*75N75 | nmos | id=75 vds=75
*55N55 | nmos | id=55 vds=55
*30N20 | nmos | id=30 vds=200
*110N10 | nmos | id=110 vds=100
*9P20 | pmos | id=9 vds=200
*FQP12N60C | nmos | id=12 vds=600
*FQPF8N80C | nmos | id=8 vds=800
*STP9NK90Z | nmos | id=9 vds=900
*P80NF06 | nmos | id=80 vds=60
*SPP11N60C3 | nmos | id=11 vds=600
*9N90C | nmos | id=9 vds=900
*K12N65X | nmos | id=12 vds=650
20N120 | nmos | id=20 vds=1200
*60R190 | nmos | vds=600 rdsOn=0.19
*65R380 | nmos | vds=650 rdsOn=0.38
*80R1K4 | nmos | vds=800 rdsOn=1.4
*IPP60R099 | nmos | vds=600 rdsOn=0.099
*65R1K4C6 | nmos | vds=650 rdsOn=1.4
*IPP075N15N3 | nmos | vds=150 rdsOn=0.0075
# Multi-source datasheets, from memory: field-effect transistors
*IRF540N | nmos | id=33 vds=100
*IRF640 | nmos | id=18 vds=200
*IRF740 | nmos | id=10 vds=400
*IRF840 | nmos | id=8 vds=500
*IRF840PBF | nmos | id=8 vds=500
*IRFZ44N | nmos | id=49 vds=55
*IRF3205 | nmos | id=110 vds=55
*IRFP460 | nmos | id=20 vds=500
*IRFBC40 | nmos | vds=600 id=6.2
*IRF9540 | pmos | vds=100 id=19
*IRF4905 | pmos | vds=55 id=74
*2N7000 | nmos | id=0.2 vds=60
*2N7002 | nmos | id=0.115 vds=60
*2SK2717 | nmos | vds=900 id=5
*K2717 | nmos | vds=900 id=5
*K3568 | nmos | vds=500 id=12
*BUZ11 | nmos | vds=50 id=30
# Common practice, no source: IGBTs
*FGA25N120 | igbt | ic=25 vces=1200
*HGTG20N60 | igbt | ic=20 vces=600
*H20R1203 | igbt | ic=20 vces=1200
*K40T120 | igbt | ic=40 vces=1200
*GT35J321 | igbt | ic=35 vces=600
# Multi-source datasheets, JEDEC, Pro Electron and JIS numbering, from memory: bipolar transistors
*2N3904 | npn | vceo=40 ic=0.2
*2N3906 | pnp | vceo=40
*2N2222A | npn | vceo=40 ic=0.6
*2N5551 | npn | vceo=160
*2N5401 | pnp | vceo=150
*2N3055 | npn | vceo=60 ic=15
*BC547B | npn | vceo=45 ic=0.1
*BC557C | pnp | vceo=45
*BC337-40 | npn | vceo=45 ic=0.5
*BD139-16 | npn | vceo=80 ic=1.5
*BD140 | pnp | vceo=80
*BU508AF | npn | vceo=700 ic=8
*BUT11AF | npn | vceo=450 ic=5
*MJE13007 | npn | vceo=400 ic=8
*E13009 | npn | vceo=400 ic=12
13003 | npn | vceo=400 ic=1.5
*TIP41C | npn | vceo=100 ic=6
*TIP127 | pnp | vceo=100
*S8050 | npn | vceo=25
*S8550D | pnp | vceo=25
*2SC4242 | npn | vceo=400 ic=7
*C4242 | npn | vceo=400 ic=7
*C945P | npn | vceo=50
*C1815GR | npn | vceo=50 ic=0.15
*A1015 | pnp | vceo=50
*D882P | npn | vceo=30 ic=3
*B772 | pnp | vceo=30 ic=3
*C5200 | npn | vceo=230 ic=15
# Multi-source datasheets and practice, from memory: triacs and thyristors
*BT136-600 | triac | itRms=4 vdrm=600
*BT137-800E | triac | itRms=8 vdrm=800
*BT138-600 | triac | itRms=12 vdrm=600
*BT139-800 | triac | itRms=16 vdrm=800
*BTA16-600B | triac | itRms=16 vdrm=600
*BTB24-800 | triac | itRms=24 vdrm=800
*BTA41-600 | triac | itRms=41 vdrm=600
*T405-600 | triac | itRms=4 vdrm=600
*MAC97A8 | triac | itRms=0.6 vdrm=600
*Z0107MA | triac | itRms=1 vdrm=600
*TIC226D | triac | itRms=8 vdrm=400
*BT151-500R | scr | itRms=12 vdrm=500
*TYN612 | scr | itRms=12 vdrm=600
*TIC106D | scr | itRms=5 vdrm=400
*C106D | scr | itRms=4 vdrm=400
*MCR100-6 | scr | itRms=0.8 vdrm=400
# Multi-source datasheets and practice, from memory: regulators
*L7805CV | regulator | vout=5 iout=1
*7812 | regulator | vout=12 iout=1
*78L05 | regulator | vout=5 iout=0.1
*78M12 | regulator | vout=12 iout=0.5
*LM7912 | regulator | vout=-12
*79L05 | regulator | vout=-5 iout=0.1
*LM317T | regulator | vout=1.25 iout=1.5
*LM337 | regulator | vout=-1.25
*1117-3.3 | regulator | vout=3.3 iout=0.8
*LD1117V33 | regulator | vout=3.3
*LM1117-ADJ | regulator | vout=1.25
*LM2940-5.0 | regulator | vout=5 iout=1
*LM2576-12 | regulator | vout=12 iout=3
*LM2596S-5.0 | regulator | vout=5 iout=3
*HT7333 | regulator | vout=3.3
# Multi-source datasheets, from memory: optocouplers, references, chips
*PC817C | optocoupler | family=817_class
*EL817 | optocoupler | family=817_class
*LTV-817 | optocoupler | family=817_class
*4N35 | optocoupler | family=4N35_class
*CNY17-3 | optocoupler | family=4N35_class
*MOC3063 | optocoupler | family=MOC30xx_class
*6N137 | optocoupler | family=6N137
*TLP521-1 | optocoupler | family=817_class
*TL431 | shunt-reference | vout=2.495 family=TL431
*TL431ACLP | shunt-reference | vout=2.495
*KA431AZ | shunt-reference | vout=2.495
*UC3842AN | ic | family=UC3842
*UC3843BD1 | ic | family=UC3843
*KA3844 | ic | family=UC3844
*UC2845 | ic | family=UC3845
*XQ3843 | ic | family=UC3843
*TL494CN | ic | family=TL494
*KA7500B | ic | family=TL494
*SG3525AN | ic | family=SG3525
*SG6105 | ic | family=SG6105
*NCP1207A | ic | family=NCP1207
*TEA1507 | ic | family=TEA1507
*TOP223Y | ic | family=TOP22x
*TNY268PN | ic | family=TNY26x
*TNY277PN | ic | family=TNY27x
*LNK304PN | ic | family=LNK30x
*VIPER22A | ic | family=VIPer22
*5M0365R | ic | family=KA5M0380R
*L6562D | ic | family=L6562
*L6599AD | ic | family=L6599
*UC3854BN | ic | family=UC3854
*CM6800 | ic | family=ML4800
*IR2153D | ic | family=IR2153
*IR2110 | ic | family=IR2110
*LM358N | ic | family=LM358
*LM393 | ic | family=LM393
*LM324N | ic | family=LM324
*LM339 | ic | family=LM339
*NE555P | ic | family=NE555
*MC34063A | ic | family=MC34063
*OB2263MP | ic | family=SOT-23-6_flyback_class
*MP1584EN | ic | family=MP1584
`;

function parse(): MarkingCase[] {
  let source = '';
  return TABLE.split('\n').flatMap((line): MarkingCase[] => {
    if (line.startsWith('#')) source = line.slice(2);
    const [marking, kind, said = ''] = line.split(' | ');
    if (line.startsWith('#') || !marking || !kind) return [];
    const pairs = said.split(' ').map((pair) => pair.split('=') as [string, string]);
    const isNumber = ([, value]: [string, string]) => !Number.isNaN(Number(value));
    return [
      {
        marking: marking.replace(/^\*/, ''),
        alone: marking.startsWith('*'),
        kind: kind as KindName,
        ratings: Object.fromEntries(pairs.filter(isNumber).map(([name, value]) => [name, Number(value)])),
        facts: Object.fromEntries(
          pairs.filter((pair) => !isNumber(pair)).map(([name, value]) => [name, value.replaceAll('_', ' ')]),
        ),
        source,
      },
    ];
  });
}

/** The table of markings over all kinds. */
export const MARKING_CASES = parse();
