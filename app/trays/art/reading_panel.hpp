// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "trays/tray_context.hpp"
#include "widgets/controls.hpp"

#include <QCheckBox>
#include <QVBoxLayout>
#include <QWidget>

namespace chalkline::app {

/// How one motif's file is read: what is an area, its scale, its part, its page; and how its page lies on the bed.
/// Each change reads the file again and can be undone.
class ReadingPanel : public QWidget {
    Q_OBJECT
 public:
    ReadingPanel(job::Id motif, const TrayContext& context, QWidget* parent);

 private:
    QHBoxLayout* add_row(const QString& text);
    /// What the file is read with, as a tick; the names are those of the two edits.
    QCheckBox* make_tick(bool art::ReadOptions::*which, const QString& text, const QString& tip, const QString& on_name,
                         const QString& off_name);
    void add_strokes();
    void add_cover();
    void add_looks();
    void add_other_dots(QHBoxLayout* row);
    void add_letters();
    void add_linetypes();
    void add_hatches();
    void add_width();
    void add_scale();
    void add_density();
    void add_part();
    void add_registration();
    void change(const QString& name, const std::function<void(art::ReadOptions&)>& how,
                job::Anchor anchor = job::Anchor::middle);
    void take_part(const geometry::Box& on_bed);

    job::Id motif_;
    TrayContext context_;
    std::shared_ptr<const art::Artwork> art_;
    QVBoxLayout* rows_;
};

/// Reads a motif again as one picture that looks as the drawing does.
void read_as_it_looks(job::Id motif, const TrayContext& context);

}  // namespace chalkline::app
