// Of what a bundle is made. Inside the store only.
#pragma once

namespace bevel {

constexpr int bundle_version = 1;

} // namespace bevel
