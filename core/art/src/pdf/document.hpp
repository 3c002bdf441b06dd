// SPDX-License-Identifier: GPL-3.0-or-later
// An open PDF, and what is asked of one.
#pragma once
#include <chalkline/art/reader.hpp>

#include <poppler.h>

#include <memory>

namespace chalkline::art::pdf {

struct Unref {
    void operator()(PopplerDocument* d) const { g_object_unref(d); }
    void operator()(PopplerPage* p) const { g_object_unref(p); }
};
using Page = std::unique_ptr<PopplerPage, Unref>;

class Document {
 public:
    /// Errors: broken_pdf {reason}, locked_pdf. The bytes must outlive the document.
    static Result<Document> open(const std::string& bytes);
    int pages() const { return poppler_document_get_n_pages(document_.get()); }
    /// Counted from 1; nothing where there is none.
    Page page(int number) const;

 private:
    explicit Document(PopplerDocument* document) : document_(document) {}
    std::unique_ptr<PopplerDocument, Unref> document_;
};

/// True when any page's drawing sets colours in CMYK. Looks into compressed streams.
bool uses_cmyk(std::string_view bytes);

}  // namespace chalkline::art::pdf
