// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "trays/tray_context.hpp"
#include "widgets/controls.hpp"

#include <QTimer>
#include <QVBoxLayout>
#include <QWidget>

namespace chalkline::app {

class DesignPanel;

/// Everything about bringing art in: what waits for an answer, every motif with its size, and for the chosen one its
/// place, how its file is read, what was found in it.
class ArtTray : public QWidget {
    Q_OBJECT
 public:
    ArtTray(const TrayContext& context, QWidget* parent = nullptr);

 Q_SIGNALS:
    /// The picture chosen is to be looked at in the Proof view.
    void proof_wanted();
    void add_files_wanted();
    void paste_wanted();

 private:
    void follow(JobChange change);
    void rebuild();
    void show_questions();
    void ask_about_size();
    void ask_about_units();
    void ask_about_changes();
    void ask_about_inbox();
    void show_details();
    void show_details_again();
    void show_inbox();
    const job::Motif* chosen() const;

    /// What the details were made from; they are made again only when it changes.
    struct Shown {
        std::shared_ptr<const art::Artwork> art;
        job::Id motif = 0;
        bool examined = false;
        bool operator==(const Shown&) const = default;
    };

    TrayContext context_;
    Shown shown_;
    QTimer moved_;
    QVBoxLayout *questions_, *cards_, *remarks_, *details_, *inbox_;
    QWidget* busy_;
    DesignPanel* design_ = nullptr;  ///< of the chosen motif, when it was drawn here
};

}  // namespace chalkline::app
