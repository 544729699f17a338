/** Load combinations that a code asks for. In: load cases with their kinds. Out: combinations with their purpose. */
package kolonne.core.combination;
