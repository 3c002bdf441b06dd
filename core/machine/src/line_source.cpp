// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/machine/line_source.hpp>

#include <algorithm>

namespace chalkline::machine {

bool TextLines::next(ProgramLine& line) {
    while (at_ < text_->size()) {
        const auto end = std::min(text_->find('\n', at_), text_->size());
        std::string text;
        bool comment = false;
        for (std::size_t i = at_; i < end; ++i) {
            const char c = (*text_)[i];
            if (c == ';') break;
            if (c == '(') comment = true;
            if (!comment && c != ' ' && c != '\t' && c != '\r') text += c;
            if (c == ')') comment = false;
        }
        at_ = end + 1;
        if (text.empty() || text == "%") continue;
        line = {.text = std::move(text)};
        return true;
    }
    return false;
}

}  // namespace chalkline::machine
