// SPDX-License-Identifier: GPL-3.0-or-later
// Owners for what the font libraries hand out.
#pragma once
#include <fontconfig/fontconfig.h>
#include <hb.h>

#include <memory>

namespace chalkline::fonts {

struct Destroy {
    void operator()(FcPattern* p) const { FcPatternDestroy(p); }
    void operator()(FcFontSet* s) const { FcFontSetDestroy(s); }
    void operator()(hb_buffer_t* b) const { hb_buffer_destroy(b); }
};
using Pattern = std::unique_ptr<FcPattern, Destroy>;
using FontSet = std::unique_ptr<FcFontSet, Destroy>;
using Buffer = std::unique_ptr<hb_buffer_t, Destroy>;

}  // namespace chalkline::fonts
