package kolonne.core.column.choice;

import kolonne.core.column.check.LiftDemands;
import kolonne.core.column.line.ColumnStack;

/** A lift that is to bear a cage, with its demands: one of those that share it. */
record Borne(ColumnStack stack, ColumnStack.Lift lift, LiftDemands demands) {}
