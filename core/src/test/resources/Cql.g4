// CQL 1.2 as the standard has it (OASIS searchRetrieve Part 5, appendix of the grammar), to hold our reader and writer
// against a parser that shares nothing with them.
grammar Cql;

query : sorted EOF ;
sorted : prefix sorted | scoped ( SORTBY single+ )? ;
prefix : '>' ( term '=' )? term ;
scoped : clause ( group clause )* ;
group : ( AND | OR | NOT | PROX ) modifier* ;
clause : '(' sorted ')' | term relation term | term ;
relation : ( '=' | '>' | '<' | '>=' | '<=' | '<>' | '==' | identifier ) modifier* ;
modifier : '/' term ( ( '=' | '>' | '<' | '>=' | '<=' | '<>' | '==' ) term )? ;
single : term modifier* ;
term : identifier | AND | OR | NOT | PROX | SORTBY ;
identifier : BARE | QUOTED ;

AND : [aA] [nN] [dD] ;
OR : [oO] [rR] ;
NOT : [nN] [oO] [tT] ;
PROX : [pP] [rR] [oO] [xX] ;
SORTBY : [sS] [oO] [rR] [tT] [bB] [yY] ;
QUOTED : '"' ( '\\' . | ~["\\] )* '"' ;
BARE : ~[ \t\r\n()=<>"/]+ ;
WS : [ \t\r\n]+ -> skip ;
