// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "trays/tray_context.hpp"
#include "widgets/controls.hpp"

#include <chalkline/art/design.hpp>

#include <QVBoxLayout>
#include <functional>

class QPlainTextEdit;

namespace chalkline::app {

/// What a drawn motif is made of: the text and its letters, a form and its measures. Every change draws it anew.
class DesignPanel : public QWidget {
    Q_OBJECT
 public:
    DesignPanel(job::Id motif, const TrayContext& context, QWidget* parent = nullptr);
    /// The next letters typed are those of its text, if it has one.
    void take_caret();
    /// Its fields say what this design says.
    bool shows(job::Id motif, const art::Design& design) const { return motif == motif_ && design == shown_; }

 private:
    QPlainTextEdit* letters_ = nullptr;
    void build_text(const art::TextDesign& text);
    void build_form(const art::FormDesign& form);
    void build_ink();
    void redraw(const std::function<void(art::Design&)>& change);
    ValueField* add_field(const QString& label, ValueField* field, double value,
                          const std::function<void(art::Design&, double)>& set);
    void add_tick(const QString& label, bool on, const std::function<void(art::Design&, bool)>& set);

    job::Id motif_;
    TrayContext context_;
    art::Design shown_;
    QVBoxLayout* rows_;
};

}  // namespace chalkline::app
