// A process that ends, as by a kill, just before the n-th call that changes a file: every library in it is counted.
#pragma once

namespace bevel::test {

/// From now on: counted from nothing; ends at call n (0: never). In a forked child only.
void end_at(long n);
long calls_made();

} // namespace bevel::test
